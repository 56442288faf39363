import type { PartView } from "../server/api";
import { size } from "../kit/format";

/** A value of a part, as a number for drawing. */
export function numberOf(part: PartView | undefined, field: string): number {
  const value = part?.values.find((each) => each.field === field)?.value;
  return typeof value === "number" ? value : 0;
}

export function textOf(part: PartView | undefined, field: string): string {
  const value = part?.values.find((each) => each.field === field)?.value;
  if (typeof value === "number") return size(value);
  return typeof value === "string" ? value : "";
}

export function numbersOf(part: PartView, field: string): number[] {
  const value = part.values.find((each) => each.field === field)?.value;
  return Array.isArray(value) ? value : [];
}
