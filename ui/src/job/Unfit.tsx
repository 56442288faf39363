import { Notice } from "../kit/Notice";

/** What was entered and no longer fits the circuit, since its record was corrected. */
export function Unfit({ said }: { said: string[] | undefined }) {
  if (!said?.length) return null;
  return (
    <Notice tone="warn">
      <strong>No longer fits, and does not count:</strong> {said.join(". ")}. The machine&apos;s record was
      corrected since. Enter it again, or correct the record.
    </Notice>
  );
}
