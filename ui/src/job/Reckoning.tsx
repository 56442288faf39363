import { useState } from "react";
import styled from "styled-components";
import type { Build, Job } from "../server/api";
import { Button } from "../kit/Button";
import { EntryField } from "../kit/EntryField";
import { Quiet, Row } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { Notice } from "../kit/Notice";
import { ReasonButton } from "../kit/ReasonButton";
import { Picker } from "../kit/Picker";
import { useEntries } from "./useEntries";
import { Stepper } from "./Stepper";

type Counted = Pick<Build, "tray" | "leftovers" | "scrap_wanted" | "scrapped" | "zero">;

interface Props {
  job: Job;
  stage: "build" | "fit";
  reckoning: Counted;
  /** Every step is done, so that what is left is left over. */
  isAllIn: boolean;
  isOpen: boolean;
}

const Left = styled.li`
  display: grid;
  gap: 0.6rem;
  padding: 0.7rem 0;
  border-top: 1px solid ${(p) => p.theme.line};
`;

/** Tray to zero: what is left is named, and the old pieces in the pot are counted. */
export function Reckoning({ job, stage, reckoning, isAllIn, isOpen }: Props) {
  const { add } = useEntries(job, stage);
  const scrapRight = reckoning.scrapped === reckoning.scrap_wanted;
  return (
    <>
      {reckoning.zero ? (
        <div>
          <Mark kind="good">All parts accounted for</Mark>
        </div>
      ) : null}
      {isAllIn && reckoning.leftovers.length > 0 ? (
        <Notice tone="stop" live>
          {`Left in the tray: ${reckoning.leftovers.map((each) => `${each.count} × ${each.label}`).join(", ")}.`}
        </Notice>
      ) : null}
      <ul>
        {isAllIn
          ? reckoning.leftovers.map((each) => (
              <Leftover key={each.part} job={job} stage={stage} left={each} isOpen={isOpen} />
            ))
          : null}
      </ul>
      {isOpen ? <KeptOut job={job} stage={stage} reckoning={reckoning} /> : null}
      {isOpen && (reckoning.scrap_wanted > 0 || reckoning.scrapped !== undefined) ? (
        <EntryField
          key={reckoning.scrapped}
          label={`Old pieces in the scrap pot (${reckoning.scrap_wanted} belong in it)`}
          inputMode="decimal"
          value={reckoning.scrapped === undefined ? "" : String(reckoning.scrapped)}
          onFinish={(count) => add("scrapped", { count })}
        />
      ) : null}
      {reckoning.scrapped !== undefined && !scrapRight ? (
        <Notice tone="warn">
          {`${reckoning.scrapped} counted, ${reckoning.scrap_wanted} came out to be thrown away. One is missing, or an old part went back in.`}
        </Notice>
      ) : null}
    </>
  );
}

interface LeftoverProps extends Pick<Props, "job" | "stage" | "isOpen"> {
  left: Build["leftovers"][number];
}

function Leftover({ job, stage, left, isOpen }: LeftoverProps) {
  const { add } = useEntries(job, stage);
  return (
    <Left>
      <strong>{`${left.label}: ${left.count} left`}</strong>
      {isOpen ? (
        <Row $gap={1}>
          <Button tone="act" onPress={() => add("kept_out", { part: left.part, count: 0 })}>
            It is in now
          </Button>
          <ReasonButton
            button="Binned, a new one is in"
            label={`Why it was binned: ${left.label}`}
            onReason={(reason) => add("binned", { part: left.part, reason })}
          />
        </Row>
      ) : null}
    </Left>
  );
}

/** A piece that did not go back with its step is said here, and stays in the tray. */
function KeptOut({ job, stage, reckoning }: Pick<Props, "job" | "stage" | "reckoning">) {
  const { add } = useEntries(job, stage);
  const [part, setPart] = useState("");
  const fitted = reckoning.tray.filter((cell) => cell.left < cell.out || cell.part === part);
  const cell = reckoning.tray.find((each) => each.part === part);
  if (fitted.length === 0)
    return <Quiet>Every part that came out goes back, is renewed, or is binned.</Quiet>;
  return (
    <Row>
      <Picker
        label="Part not refitted"
        options={[
          { id: "", label: "nothing" },
          ...fitted.map((each) => ({ id: each.part, label: each.label })),
        ]}
        value={part}
        onChange={setPart}
      />
      {cell ? (
        <Stepper
          label={cell.label}
          value={cell.left}
          most={cell.out}
          onChange={(count) => add("kept_out", { part: cell.part, count })}
        />
      ) : null}
    </Row>
  );
}
