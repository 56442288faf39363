import { Button } from "../kit/Button";
import { Row } from "../kit/layout";
import { Notice } from "../kit/Notice";
import type { Parcel } from "../server/outboxStore";
import { useOutbox } from "../server/useOutbox";

/** An entry that did not reach the record, why, and what can be done about it. */
export function SetApart({ parcel }: { parcel: Parcel }) {
  const outbox = useOutbox();
  return (
    <Notice tone="warn" live>
      <Row>
        <span>
          <strong>Not recorded:</strong> {parcel.apart}
        </span>
        {parcel.tries === undefined ? null : (
          <Button onPress={() => outbox.sendAgain(parcel.entry.id)}>Send it again</Button>
        )}
        <Button onPress={() => outbox.discard(parcel.entry.id)}>
          {parcel.tries === undefined ? "Understood" : "Discard"}
        </Button>
      </Row>
    </Notice>
  );
}
