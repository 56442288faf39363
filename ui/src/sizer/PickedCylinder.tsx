import { useState } from "react";
import styled from "styled-components";
import type { Candidate, Sheet, SizingRow } from "../server/api";
import { useUnits } from "../server/useUnits";
import { Button } from "../kit/Button";
import { EntryField } from "../kit/EntryField";
import { change, figure } from "../kit/format";
import { Row } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { rowName } from "../words/cylinderNames";
import { Explain } from "./Explain";

interface Props {
  row: SizingRow;
  candidate: Candidate;
  sheet: Sheet;
  onTake: ((agreed: string | undefined) => void) | undefined;
  isTaken: boolean;
}

const Box = styled.div`
  border: 2px solid ${(p) => p.theme.line};
  border-radius: 0.5rem;
  padding: 0.9rem 1rem;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.6rem;
  strong {
    font-size: 1.3rem;
  }
`;

/** One picked cylinder: what it asks of the hand, why, and taking it. */
export function PickedCylinder({ row, candidate, sheet, onTake, isTaken }: Props) {
  const units = useUnits();
  return (
    <Box>
      <Row>
        <strong>{rowName(row)}</strong>
        {row.rejected.length > 0 ? <Mark kind="stop">Rejected</Mark> : null}
        {isTaken ? <Mark kind="good">Taken</Mark> : null}
      </Row>
      {row.rejected.length > 0 ? <p>{row.rejected.join("; ")}</p> : null}
      <p>
        {figure(row.force_n, 1)} N and {units.say("length", row.travel_mm, 1)}
        {row.fitted
          ? ", as fitted now"
          : `: effort ${change(row.effort_change_percent)}, travel ${change(row.travel_change_percent)} (${row.felt})`}
        . Stroke {figure(row.stroke_share * 100, 0)} % of what there is; with knock-back and air{" "}
        {figure(row.reserve_stroke_share * 100, 0)} %
        {row.lift_mm === undefined ? "" : `, slave lift ${units.say("length", row.lift_mm, 2)}`}.
      </p>
      <Explain sheet={sheet} candidate={candidate} />
      {isTaken || !onTake || (row.rejected.length > 0 && !row.fitted) ? null : (
        <Taking row={row} onTake={onTake} />
      )}
    </Box>
  );
}

function Taking({ row, onTake }: { row: SizingRow; onTake: (agreed: string | undefined) => void }) {
  const [agreed, setAgreed] = useState("");
  if (!row.agreement_needed) {
    return (
      <Button tone="act" onPress={() => onTake(undefined)}>
        {row.fitted ? "Keep this cylinder" : row.label ? "Take this size" : "Take this cylinder"}
      </Button>
    );
  }
  return (
    <>
      <EntryField
        label={`The lever changes by over ${row.agreed_over_percent} %. The rider's agreement, in words`}
        value={agreed}
        onFinish={setAgreed}
      />
      <Button tone="act" isDisabled={agreed.trim() === ""} onPress={() => onTake(agreed)}>
        Take it, as agreed
      </Button>
    </>
  );
}
