import { useState } from "react";
import styled from "styled-components";
import type { Build, Job } from "../../server/api";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { Panel, Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { Notice } from "../../kit/Notice";
import { ReasonButton } from "../../kit/ReasonButton";
import { Picker } from "../../kit/Picker";
import { useEntries } from "../useEntries";
import { Stepper } from "../Stepper";

interface Props {
  job: Job;
  build: Build;
  isOpen: boolean;
}

const Left = styled.li`
  display: grid;
  gap: 0.6rem;
  padding: 0.7rem 0;
  border-top: 1px solid ${(p) => p.theme.line};
`;

/** Tray to zero: what is left is named, and the old pieces in the pot are counted. */
export function ReckoningPanel({ job, build, isOpen }: Props) {
  const { add } = useEntries(job, "build");
  const allIn = build.current === undefined && build.steps.length > 0;
  const scrapRight = build.scrapped === build.scrap_wanted;
  return (
    <Panel>
      <Row>
        <h2>Tray to zero</h2>
        {build.zero ? <Mark kind="good">It adds up</Mark> : null}
      </Row>
      {allIn && build.leftovers.length > 0 ? (
        <Notice tone="stop" live>
          {`Left in the tray: ${build.leftovers.map((each) => `${each.count} × ${each.label}`).join(", ")}.`}
        </Notice>
      ) : null}
      <ul>
        {allIn
          ? build.leftovers.map((each) => <Leftover key={each.part} job={job} left={each} isOpen={isOpen} />)
          : null}
      </ul>
      {isOpen ? <KeptOut job={job} build={build} /> : null}
      {isOpen ? (
        <EntryField
          key={build.scrapped}
          label={`Old pieces in the scrap pot (${build.scrap_wanted} belong in it)`}
          inputMode="decimal"
          value={build.scrapped === undefined ? "" : String(build.scrapped)}
          onFinish={(count) => add("scrapped", { count })}
        />
      ) : null}
      {build.scrapped !== undefined && !scrapRight ? (
        <Notice tone="warn">
          {`${build.scrapped} counted, ${build.scrap_wanted} came out to be thrown away. One is missing, or an old part went back in.`}
        </Notice>
      ) : null}
    </Panel>
  );
}

function Leftover({ job, left, isOpen }: { job: Job; left: Build["leftovers"][number]; isOpen: boolean }) {
  const { add } = useEntries(job, "build");
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
function KeptOut({ job, build }: { job: Job; build: Build }) {
  const { add } = useEntries(job, "build");
  const [part, setPart] = useState("");
  const fitted = build.tray.filter((cell) => cell.left < cell.out || cell.part === part);
  const cell = build.tray.find((each) => each.part === part);
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
