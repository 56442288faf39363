import styled from "styled-components";
import { Button } from "../kit/Button";

interface Props {
  label: string;
  value: number;
  /** The most it can be; none is given where it is unknown. */
  most?: number;
  onChange?: (value: number) => void;
}

const Frame = styled.div`
  display: grid;
  grid-template-columns: 3rem 2.6rem 3rem;
  align-items: center;
  text-align: center;
  b {
    font:
      700 1.5rem/1 "Atkinson Hyperlegible Mono Variable",
      monospace;
  }
  button {
    padding: 0;
  }
`;

/** A small count, by two buttons a gloved finger can hit. */
export function Stepper({ label, value, most, onChange }: Props) {
  if (!onChange) return <b>{value}</b>;
  return (
    <Frame role="group" aria-label={`${label}: ${value}`}>
      <Button aria-label={`One less: ${label}`} isDisabled={value === 0} onPress={() => onChange(value - 1)}>
        −
      </Button>
      <b>{value}</b>
      <Button
        aria-label={`One more: ${label}`}
        isDisabled={most !== undefined && value >= most}
        onPress={() => onChange(value + 1)}
      >
        +
      </Button>
    </Frame>
  );
}
