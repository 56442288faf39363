import type { Damaged } from "../server/api";
import { Notice } from "../kit/Notice";

/** What is kept and cannot be read, by its name: everything else can be used. */
export function DamagedRows({ rows }: { rows: Damaged | undefined }) {
  if (!rows?.length) return null;
  return (
    <Notice tone="stop">
      <strong>Damaged, and not shown:</strong> {rows.map((row) => `${row.what} (${row.id})`).join(", ")}.
      Everything else can be used. A backup still has it.
    </Notice>
  );
}
