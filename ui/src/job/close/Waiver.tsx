import { useState } from "react";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { Row } from "../../kit/layout";
import type { Gate } from "./GateRow";

interface Props {
  gate: Gate;
  onWaive: (gate: string, lead: string, reason: string) => void;
}

/** The lead's own decision, with name and reason; it goes on the card. */
export function Waiver({ gate, onWaive }: Props) {
  const [asks, setAsks] = useState(false);
  const [lead, setLead] = useState("");
  const [reason, setReason] = useState("");
  if (!asks) {
    return (
      <Button aria-label={`${gate.label}: waive`} onPress={() => setAsks(true)}>
        Waive
      </Button>
    );
  }
  const isReady = lead.trim() !== "" && reason.trim() !== "";
  return (
    <Row $gap={1}>
      <EntryField label="The lead's name" value={lead} onFinish={setLead} />
      <EntryField label="Why it goes without" value={reason} onFinish={setReason} />
      <Button tone="stop" isDisabled={!isReady} onPress={() => onWaive(gate.id, lead.trim(), reason.trim())}>
        Waive it
      </Button>
      <Button onPress={() => setAsks(false)}>Leave it open</Button>
    </Row>
  );
}
