import type { Candidate, PartView, Sheet, SizingRow } from "../server/api";

const BY = /\s*[x×*]\s*/i;

/** "19x20" as typed, in two; null when it is not written so. */
export function sizeTyped(text: string): { bore: string; push_offset: string } | null {
  const [bore, push_offset] = text.trim().split(BY);
  return bore && push_offset ? { bore, push_offset } : null;
}

/** What a row of the sizing was asked as. */
export function candidateOf(row: SizingRow, own: Candidate[]): Candidate {
  return (
    own.find((each) => each.key === row.key) ?? {
      key: row.key,
      bore: row.bore_mm,
      push_offset: row.push_offset_mm,
    }
  );
}

/** One change on every part of a kind: "what if braided". */
export function changeAll(
  sheet: Sheet,
  part: PartView["part"],
  field: string,
  value: string,
): NonNullable<Candidate["changes"]> {
  return sheet.parts.filter((each) => each.part === part).map((each) => ({ part: each.id, field, value }));
}

/** Another size of a far end, as typed. */
export interface FarEndSize {
  part: string;
  size: string;
}

const SIZES = ["pistons", "bore"];

/** The sizes that a candidate puts at the far end; undefined when it changes anything else. */
export function farEndSizes(candidate: Candidate | undefined): FarEndSize[] | undefined {
  const changes = candidate?.changes ?? [];
  if (changes.length === 0 || changes.some(({ field }) => !SIZES.includes(field))) return undefined;
  return changes.map(({ part, value }) => ({ part, size: String(value) }));
}

/** A draft of the sheet with one value changed; nothing is stored. */
export function withValue(sheet: Sheet, partId: string, field: string, value: string): Sheet {
  return {
    ...sheet,
    parts: sheet.parts.map((part) =>
      part.id === partId
        ? { ...part, values: { ...part.values, [field]: { value, source: "estimate" } } }
        : part,
    ),
  };
}
