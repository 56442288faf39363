import { useState } from "react";
import styled from "styled-components";
import type { Job, SizingRow } from "../../app/api";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { change, figure, size } from "../../kit/format";
import { Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";

interface Props {
  job: Job;
  row: SizingRow | undefined;
  onTake: (agreed: string | undefined) => void;
}

const Box = styled.div`
  border: 2px solid ${(p) => p.theme.line};
  border-radius: 0.5rem;
  padding: 0.9rem 1rem;
  display: grid;
  gap: 0.6rem;
  strong {
    font-size: 1.3rem;
  }
`;

/** The cylinder that is being looked at, and taking it. */
export function PickedCylinder({ job, row, onTake }: Props) {
  const chosen = job.choose?.cylinder;
  if (!row) {
    return chosen ? (
      <p>
        <Mark kind="good">{`Taken: ${size(chosen.bore)} × ${size(chosen.push_offset)} mm`}</Mark>
      </p>
    ) : (
      <Quiet>Pick a cylinder to see what it would change.</Quiet>
    );
  }
  const isChosen = chosen?.bore === row.bore_mm && chosen.push_offset === row.push_offset_mm;
  return (
    <Box>
      <Row>
        <strong>
          {size(row.bore_mm)} × {size(row.push_offset_mm)} mm
        </strong>
        {row.rejected.length > 0 ? <Mark kind="stop">Rejected</Mark> : null}
        {isChosen ? <Mark kind="good">Taken</Mark> : null}
      </Row>
      {row.rejected.length > 0 ? <p>{row.rejected.join("; ")}</p> : null}
      <p>
        {figure(row.force_n, 1)} N and {figure(row.travel_mm, 1)} mm
        {row.fitted
          ? ", as fitted now"
          : `: effort ${change(row.effort_change_percent)}, travel ${change(row.travel_change_percent)} (${row.felt})`}
        . Volume ratio {figure(row.volume_ratio, 1)}, force ratio {figure(row.force_ratio, 1)}, stroke{" "}
        {figure(row.stroke_share * 100, 0)} %, with knock-back and air{" "}
        {figure(row.reserve_stroke_share * 100, 0)} %
        {row.lift_mm === undefined ? "" : `, slave lift ${figure(row.lift_mm, 2)} mm`}.
      </p>
      {isChosen || (row.rejected.length > 0 && !row.fitted) ? null : <Taking row={row} onTake={onTake} />}
    </Box>
  );
}

function Taking({ row, onTake }: { row: SizingRow; onTake: Props["onTake"] }) {
  const [agreed, setAgreed] = useState("");
  if (!row.agreement_needed) {
    return (
      <Button tone="act" onPress={() => onTake(undefined)}>
        {row.fitted ? "Keep this cylinder" : "Take this cylinder"}
      </Button>
    );
  }
  return (
    <>
      <EntryField
        label="The lever changes by over a quarter. The rider's agreement, in words"
        value={agreed}
        onFinish={setAgreed}
      />
      <Button tone="act" isDisabled={agreed.trim() === ""} onPress={() => onTake(agreed)}>
        Take it, as agreed
      </Button>
    </>
  );
}
