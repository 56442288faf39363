import { useState } from "react";
import styled from "styled-components";
import type { Feel } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { Quiet, Row } from "../../kit/layout";
import { Room } from "../../kit/Rooms";
import { Mark } from "../../kit/Mark";

interface Props {
  feel: Feel;
  isOpen: boolean;
  onMeasure: (travels: string[], rest: string | undefined) => void;
}

const PULLS = [1, 2, 3, 4, 5];

const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 0.5rem;
`;

/** Travel on five quick pulls, and after a rest: whether it gains by pumping, and what that points to. */
export function PumpTest({ feel, isOpen, onMeasure }: Props) {
  const units = useUnits();
  const [travels, setTravels] = useState<Record<number, string>>({});
  const [rest, setRest] = useState<string>();
  const pump = feel.pump;
  return (
    <Room id="pump" title="Pump test">
      <Quiet>Travel to firm on five quick pulls, then once more after 30 s of rest.</Quiet>
      {isOpen ? (
        <>
          <Fields>
            {PULLS.map((pull) => (
              <EntryField
                key={pull}
                label={`Pull ${pull}`}
                name={`pull-${pull}`}
                unit={units.unit("length")}
                inputMode="decimal"
                value={travels[pull] ?? ""}
                onFinish={(text) => setTravels({ ...travels, [pull]: text })}
              />
            ))}
            <EntryField
              label="After 30 s"
              name="pull-rest"
              unit={units.unit("length")}
              inputMode="decimal"
              value={rest ?? ""}
              onFinish={setRest}
            />
          </Fields>
          <Row>
            <Button
              isDisabled={!PULLS.every((pull) => travels[pull])}
              onPress={() =>
                onMeasure(
                  PULLS.map((pull) => units.typed("length", travels[pull] ?? "")),
                  rest === undefined ? undefined : units.typed("length", rest),
                )
              }
            >
              Record
            </Button>
          </Row>
        </>
      ) : null}
      {pump ? (
        <p role="status">
          <Mark kind={pump.pass ? "good" : "stop"}>
            {`Gains ${units.say("length", pump.gain_mm, 1)}, limit ${units.say("length", pump.limit_mm, 0)}`}
          </Mark>{" "}
          {pump.why}
        </p>
      ) : null}
    </Room>
  );
}
