import { useState } from "react";
import { Button } from "../kit/Button";
import { EntryField } from "../kit/EntryField";

/** Asks why before a thing leaves the shelf for good. */
export function ThrowAway({ onReason }: { onReason: (reason: string) => void }) {
  const [asks, setAsks] = useState(false);
  if (!asks) return <Button onPress={() => setAsks(true)}>Throw away</Button>;
  return (
    <EntryField label="Thrown away because" value="" onFinish={(text) => text.trim() && onReason(text)} />
  );
}
