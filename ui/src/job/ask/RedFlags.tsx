import { useState } from "react";
import type { Ask } from "../../server/api";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { PersonField } from "../../pieces/PersonField";
import { Row } from "../../kit/layout";
import { Notice } from "../../kit/Notice";

type Flag = Ask["flags"][number];

interface Props {
  flags: Flag[];
  isOpen: boolean;
  onLift: (flag: string, lead: string, reason: string) => void;
}

/** What stops the job or holds its release, why, and what lifts it. */
export function RedFlags({ flags, isOpen, onLift }: Props) {
  return flags.map((flag) =>
    flag.lead || flag.cured ? (
      <Notice key={flag.id} tone="warn">
        <strong>{flag.label}.</strong>{" "}
        {flag.lead ? `Lifted by ${flag.lead}: ${flag.reason ?? ""}` : "Put right in this job."}
      </Notice>
    ) : (
      <Notice key={flag.id} tone="stop">
        <p>
          <strong>{flag.label}.</strong> {flag.does}
        </p>
        <p>
          {flag.holds_work
            ? `Lifted when: ${flag.lifts}`
            : `The work goes on; the machine stays. Before release: ${flag.lifts}`}
        </p>
        {isOpen && flag.liftable ? (
          <Lifting onLift={(lead, reason) => onLift(flag.id, lead, reason)} />
        ) : null}
      </Notice>
    ),
  );
}

function Lifting({ onLift }: { onLift: (lead: string, reason: string) => void }) {
  const [lead, setLead] = useState("");
  const [reason, setReason] = useState("");
  return (
    <Row>
      <PersonField label="Lead mechanic" value={lead} power="leads" onPick={setLead} />
      <EntryField label="What was done about it" value={reason} onFinish={setReason} />
      <Button
        isDisabled={lead.trim() === "" || reason.trim() === ""}
        onPress={() => onLift(lead.trim(), reason.trim())}
      >
        Lift this stop
      </Button>
    </Row>
  );
}
