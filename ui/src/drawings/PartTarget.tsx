import type { KeyboardEvent, ReactNode } from "react";
import styled from "styled-components";

interface Props {
  name: string;
  isPicked: boolean;
  onPick: () => void;
  children: ReactNode;
}

const Target = styled.g`
  cursor: pointer;
  outline-offset: 4px;
`;

/** A part of a drawing that can be picked by touch, or by Tab and Enter. */
export function PartTarget({ name, isPicked, onPick, children }: Props) {
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
      aria-label={name}
      onClick={onPick}
      onKeyDown={onKeyDown}
    >
      {children}
    </Target>
  );
}
