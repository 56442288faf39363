import type { SizingRow } from "../server/api";
import { size } from "../kit/format";

/** A cylinder as it is spoken of: bore × push offset. */
export function rowName(row: SizingRow): string {
  const cylinder = `${size(row.bore_mm)} × ${size(row.push_offset_mm)}`;
  return row.label ? `${cylinder}, ${row.label}` : cylinder;
}
