import type { KeyboardEvent, ReactNode } from "react";
import styled from "styled-components";

interface Props {
  name: string;
  /** What is written beside the part; read out after its name. */
  lines: string[];
  isPicked: boolean;
  onPick: () => void;
  children: ReactNode;
}

const Target = styled.g`
  cursor: pointer;
  outline-offset: 4px;
`;

/** A part of a drawing that can be picked by touch, or by Tab and Enter. */
export function PartTarget({ name, lines, isPicked, onPick, children }: Props) {
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key !== "Enter" && event.key !== " ") return;
    event.preventDefault();
    onPick();
  };
  return (
    <Target
      role="button"
      tabIndex={0}
      aria-pressed={isPicked}
      aria-label={lines[0] === name ? lines.join(" ") : `${name}: ${lines.join(" ")}`}
      onClick={onPick}
      onKeyDown={onKeyDown}
    >
      {children}
    </Target>
  );
}
