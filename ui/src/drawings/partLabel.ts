import type { CircuitFigures, PartView } from "../server/api";
import type { Units } from "../kit/units";
import { numberOf, numbersOf, textOf } from "./partValue";

/** Longer names are cut on the drawing; they are read out whole. */
const LONGEST = 22;

/** Decimals of a length on the drawing; the record beside it has them all. */
const FINEST = 3;

const short = (text: string) => (text.length > LONGEST ? `${text.slice(0, LONGEST - 1)}…` : text);

/** What is written beside a part on the drawing, the first line bold, in the shop's units; also read out. */
export function labelLines(part: PartView, { parts, control }: CircuitFigures, units: Units): string[] {
  const fine = (mm: number) => String(Number(units.amount("length", mm).toFixed(FINEST)));
  const length = (of: PartView | undefined, field: string) => fine(numberOf(of, field));
  const unit = units.unit("length");
  switch (part.part) {
    case "line":
      return [
        `${length(part, "length")} ${unit}`,
        `${textOf(part, "kind").replace("_", " ")}, ${length(part, "bore")} ${unit} bore`,
      ];
    case "reservoir":
      return [`${units.size("volume", numberOf(part, "usable"))} ${units.unit("volume")}`];
    case "master": {
      const lever = parts.find((each) => each.part === "lever");
      return [
        `${length(part, "bore")} × ${length(lever, "push_offset")} ${unit}`,
        `${length(part, "stroke")} ${unit} stroke`,
      ];
    }
    case "lever":
      return [`${length(part, "finger_to_pivot")} ${unit}`, `to the ${control.at}`];
    case "caliper":
      return [
        short(part.label ?? "Caliper"),
        ...pistonsSaid(numbersOf(part, "pistons"), (piston) => `${fine(piston)} ${unit}`),
        textOf(part, "build"),
      ];
    case "slave":
      return [short(part.label ?? "Clutch slave"), `${length(part, "bore")} ${unit} bore`];
    case "vehicle":
      return [`${Number(numberOf(part, "drive_ratio").toFixed(2))} : 1`, "to the track"];
    default:
      return [];
  }
}

/** One line for each size: 2 × 34 mm, 2 × 30 mm. */
function pistonsSaid(pistons: number[], said: (piston: number) => string): string[] {
  return [...new Set(pistons)].map((size) => {
    const count = pistons.filter((piston) => piston === size).length;
    return count > 1 ? `${count} × ${said(size)}` : said(size);
  });
}
