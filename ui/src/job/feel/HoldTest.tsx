import { useState } from "react";
import styled from "styled-components";
import type { Control, Feel } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { Quiet, Row } from "../../kit/layout";
import { Room } from "../../kit/Rooms";
import { Table } from "../../kit/Table";
import { Mark } from "../../kit/Mark";
import { MeasuredLength } from "../MeasuredLength";

interface Props {
  control: Control;
  hold: Feel["hold"];
  test: Feel["hold_test"];
  isOpen: boolean;
  onMeasure: (creep: string) => void;
  onSeries: (times: number[], travels: string[]) => void;
}

const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 0.5rem;
`;

/** Static hold: steady pull, creep read after a minute, or travel as time goes, which tells settling from sinking. */
export function HoldTest({ control, hold, test, isOpen, onMeasure, onSeries }: Props) {
  return (
    <Room id="hold" title="Hold test" said={heldSaid(hold)}>
      <Quiet>
        {test.force_n} N by {control.limb}, steady for {test.seconds} s. How far did the {control.noun} creep?
      </Quiet>
      {isOpen ? (
        <>
          <MeasuredLength
            label={`Creep in ${test.seconds} s (key H)`}
            name="creep"
            value={hold?.series === undefined ? hold?.creep_mm : undefined}
            decimals={1}
            onMeasure={onMeasure}
          />
          <details>
            <summary>Or travel as time goes</summary>
            <Series test={test} onSeries={onSeries} />
          </details>
        </>
      ) : null}
      {hold ? (
        <p role="status">
          <Mark kind={hold.pass ? "good" : hold.series === "cant_tell" ? "warn" : "stop"}>
            {heldSaid(hold) ?? ""}
          </Mark>{" "}
          {hold.why} {hold.points_to}
        </p>
      ) : null}
      {hold?.series ? <SeriesFigures hold={hold} seconds={test.seconds} /> : null}
    </Room>
  );
}

function heldSaid(hold: Feel["hold"]): string | undefined {
  if (!hold) return undefined;
  if (hold.pass) return "Holds";
  if (hold.series === "cant_tell") return "Can't tell";
  return hold.series ? "Sinks" : "Creeps";
}

function Series({ test, onSeries }: Pick<Props, "test" | "onSeries">) {
  const units = useUnits();
  const [travels, setTravels] = useState<Record<number, string>>({});
  const read = test.times_s.filter((time) => travels[time]);
  return (
    <>
      <Fields>
        {test.times_s.map((time) => (
          <EntryField
            key={time}
            label={`${time} s`}
            name={`hold-${time}`}
            unit={units.unit("length")}
            inputMode="decimal"
            value={travels[time] ?? ""}
            onFinish={(text) => setTravels({ ...travels, [time]: text })}
          />
        ))}
      </Fields>
      <Row>
        <Button
          isDisabled={read.length < (test.least ?? 0)}
          onPress={() =>
            onSeries(
              read,
              read.map((time) => units.typed("length", travels[time] ?? "")),
            )
          }
        >
          Record readings
        </Button>
      </Row>
    </>
  );
}

function SeriesFigures({ hold, seconds }: { hold: NonNullable<Feel["hold"]>; seconds: number }) {
  const units = useUnits();
  return (
    <Table aria-label="Hold over time">
      <tbody>
        <tr>
          <td>Settled, then stopped</td>
          <td>{units.say("length", hold.settled_mm ?? 0, 1)}</td>
        </tr>
        <tr>
          <td>{`Creep in ${seconds} s, limit`}</td>
          <td>{`${units.bare("length", hold.creep_mm, 1)}, ${units.say("length", hold.limit_mm, 1)}`}</td>
        </tr>
        <tr>
          <td>Leak that would explain it</td>
          <td>{`${units.say("volume", hold.leak_ml_min ?? 0, 2)} a minute`}</td>
        </tr>
      </tbody>
    </Table>
  );
}
