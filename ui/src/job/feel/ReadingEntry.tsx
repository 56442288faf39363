import { useRef, useState } from "react";
import type { FormEvent } from "react";
import { Form, Input, Label, TextField } from "react-aria-components";
import styled from "styled-components";
import { useUnits } from "../../server/useUnits";
import type { Feel } from "../../server/api";
import { Button } from "../../kit/Button";
import { InputBox } from "../../kit/EntryField";
import { figure } from "../../kit/format";
import { leaveOnEscape } from "../leaveOnEscape";

interface Props {
  feel: Feel;
  onRead: (force: string, travel: string) => void;
}

const Line = styled(Form)`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 0.8rem;
  align-items: end;
  label {
    font-weight: 650;
  }
`;

const Next = styled.p`
  font-size: 1.35rem;
  b {
    font:
      700 1.9rem/1 "Atkinson Hyperlegible Mono Variable",
      monospace;
  }
`;

/** Where no further pull would change what is said. */
const ENOUGH: Record<string, string> = {
  cant_tell: "More pulls like these will not tell. A finer ruler, a gauge or another bleed would.",
  marginal: "Enough. It stays near the limit.",
};

/** Force, Enter, travel, Enter: also for a gauge that types. */
export function ReadingEntry({ feel, onRead }: Props) {
  const [force, setForce] = useState("");
  const [travel, setTravel] = useState("");
  const forceField = useRef<HTMLInputElement>(null);
  const travelField = useRef<HTMLInputElement>(null);
  const units = useUnits();
  const next = feel.next_n;
  const take = (event: FormEvent) => {
    event.preventDefault();
    if (force.trim() === "") return forceField.current?.focus();
    if (travel.trim() === "") return travelField.current?.focus();
    onRead(force, units.typed("length", travel));
    setForce("");
    setTravel("");
    forceField.current?.focus();
  };
  return (
    <>
      <Next>
        {next === undefined ? (
          (ENOUGH[feel.verdict?.verdict ?? ""] ?? "Enough. The verdict stands.")
        ) : (
          <>
            Next: {feel.control.press} <b>{figure(next, 0)} N</b> at the {feel.control.at} and read the
            travel.
          </>
        )}
      </Next>
      <Line onSubmit={take}>
        <TextField name="force" value={force} onChange={setForce}>
          <Label>Force</Label>
          <InputBox>
            <Input ref={forceField} onKeyDown={leaveOnEscape} inputMode="decimal" autoComplete="off" />
            <span>N</span>
          </InputBox>
        </TextField>
        <TextField name="travel" value={travel} onChange={setTravel}>
          <Label>Travel</Label>
          <InputBox>
            <Input ref={travelField} onKeyDown={leaveOnEscape} inputMode="decimal" autoComplete="off" />
            <span>{units.unit("length")}</span>
          </InputBox>
        </TextField>
        <Button tone="act" type="submit" hotkey="N">
          Take reading
        </Button>
      </Line>
    </>
  );
}
