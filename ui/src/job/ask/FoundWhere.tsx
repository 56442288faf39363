import type { Ask, Knowledge } from "../../server/api";
import { Button } from "../../kit/Button";
import { Panel, Row } from "../../kit/layout";
import { PlacePicker } from "../../pieces/PlacePicker";

interface Props {
  ask: Ask;
  findings: Knowledge["findings"];
  finding: string;
  value: string;
  onSay: (place?: string) => void;
  onCancel: () => void;
}

/** Where a thing was found, asked before it is written down. */
export function FoundWhere({ ask, findings, finding, value, onSay, onCancel }: Props) {
  const row = findings.find((each) => each.id === finding);
  const asked = `${row?.label ?? finding}: ${row?.values[value] ?? value}. Where?`;
  return (
    <Panel data-asks>
      <h2>{asked}</h2>
      <PlacePicker
        label={asked}
        places={ask.places}
        candidates={ask.may_be_at[finding] ?? []}
        at={ask.found_at[finding] ?? []}
        onPick={onSay}
        hasKeys
      />
      <Row>
        <Button onPress={() => onSay()}>Place not known</Button>
        <Button onPress={onCancel}>Not found after all</Button>
      </Row>
    </Panel>
  );
}
