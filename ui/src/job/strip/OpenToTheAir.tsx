import type { Strip } from "../../server/api";
import { Notice } from "../../kit/Notice";

/** Whoever comes back to the bench: the lever is not to be pressed, and this is open. */
export function OpenToTheAir({ strip }: { strip: Strip }) {
  return (
    <Notice tone="stop">
      <strong>Do not press the lever.</strong>
      {strip.open.length > 0
        ? ` Open to the air: ${strip.open.join(", ")}. Leaving the bench? Cover it first.`
        : " Nothing is open to the air yet."}
    </Notice>
  );
}
