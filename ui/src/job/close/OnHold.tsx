import { useState } from "react";
import type { Job } from "../../server/api";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { whenSaid } from "../../kit/format";
import { Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { PersonField } from "../../pieces/PersonField";

interface Props {
  job: Job;
  onHold: (reason: string, name: string) => void;
  onResume: () => void;
}

/** What cannot be released now: on hold with a reason, its tag to print, and back to where it stood. */
export function OnHold({ job, onHold, onResume }: Props) {
  const [reason, setReason] = useState("");
  const [name, setName] = useState("");
  const held = job.on_hold;
  if (held) {
    return (
      <>
        <h2>On hold, not released</h2>
        <Mark kind="stop">Do not use</Mark>
        <p>{held.reason}</p>
        <Quiet>{`${whenSaid(held.at)}, by ${held.name}`}</Quiet>
        <Row $gap={1}>
          <Button tone="act" onPress={onResume}>
            Resume the job
          </Button>
          <Tag job={job} />
        </Row>
      </>
    );
  }
  const isReady = reason.trim() !== "" && name.trim() !== "";
  return (
    <details>
      <summary>It cannot be released now</summary>
      <EntryField label="What is missing" value={reason} onFinish={setReason} />
      <PersonField label="Who puts it on hold" value={name} onPick={setName} />
      <Button tone="stop" isDisabled={!isReady} onPress={() => onHold(reason.trim(), name.trim())}>
        On hold, not released
      </Button>
    </details>
  );
}

function Tag({ job }: { job: Job }) {
  return (
    <a href={`/api/jobs/${job.id}/tag.pdf`} target="_blank" rel="noreferrer">
      Tag to print, PDF
    </a>
  );
}
