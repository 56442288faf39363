import type { PartView } from "../server/api";
import { numberOf, textOf } from "./partValue";

const LONGEST_STROKE = 60;

export interface MasterSize {
  /** Of the bore as drawn. */
  bore: number;
  stroke: number;
  /** Left edge of the reservoir, from the middle of the master. */
  tank: number;
  isRemote: boolean;
  /** Where the hoses leave, under the middle of the master. */
  outlet: number;
  /** Where the pushrod meets lever or pedal. */
  pushed: number;
}

/** How large the master is drawn: bore and stroke to scale of one another, whatever was typed. */
export function masterSize(parts: PartView[]): MasterSize {
  const master = parts.find((part) => part.part === "master");
  const reservoir = parts.find((part) => part.part === "reservoir");
  const bore = 14 + numberOf(master, "bore") * 1.1;
  const stroke = 70 + Math.min(numberOf(master, "stroke"), LONGEST_STROKE);
  const isRemote = textOf(reservoir, "mount") === "remote";
  return {
    bore,
    stroke,
    isRemote,
    tank: isRemote ? -150 : -40,
    outlet: bore / 2 + 20,
    pushed: stroke / 2 + 30,
  };
}
