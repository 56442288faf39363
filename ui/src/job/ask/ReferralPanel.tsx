import { useState } from "react";
import type { Job } from "../../server/api";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { PersonField } from "../../pieces/PersonField";
import { Panel, Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { ReasonButton } from "../../kit/ReasonButton";
import { referralSaid } from "../../words/referralSaid";

interface Props {
  job: Job;
  onRefer: (name: string, to: string) => void;
  onReturn: (note: string) => void;
}

/** A job that goes no further here is put away, by name, and comes back to the bench with its machine. */
export function ReferralPanel({ job, onRefer, onReturn }: Props) {
  const [name, setName] = useState("");
  const [to, setTo] = useState("");
  const { referred } = job;
  if (referred)
    return (
      <Panel>
        <h2>On hold, referred</h2>
        <p>
          <Mark kind="stop">Do not use</Mark>
        </p>
        <p>{referralSaid(referred)}.</p>
        <Row>
          <ReasonButton
            button="The machine is back"
            label="What was done elsewhere, and by whom"
            onReason={onReturn}
          />
        </Row>
      </Panel>
    );
  return (
    <Panel>
      <h2>Put on hold and refer</h2>
      <Quiet>
        Takes the job off the bench until the machine comes back. The machine stays tagged “do not use”.
      </Quiet>
      <Row>
        <PersonField label="Who decided" value={name} onPick={setName} />
        <EntryField label="Where it goes" value={to} onFinish={setTo} />
        <Button tone="act" isDisabled={name.trim() === ""} onPress={() => onRefer(name.trim(), to.trim())}>
          Put on hold and refer
        </Button>
      </Row>
    </Panel>
  );
}
