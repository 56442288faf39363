import type { PartView } from "../server/api";
import { numbersOf, textOf } from "./partValue";

/** What is written beside a part on the drawing, the first line bold; also read out. */
export function labelLines(part: PartView, parts: PartView[]): string[] {
  switch (part.part) {
    case "line":
      return [
        `${textOf(part, "length")} mm`,
        `${textOf(part, "kind").replace("_", " ")}, ${textOf(part, "bore")} mm bore`,
      ];
    case "reservoir":
      return [`${textOf(part, "usable")} mL`];
    case "master": {
      const lever = parts.find((each) => each.part === "lever");
      return [
        `${textOf(part, "bore")} × ${textOf(lever, "push_offset")}`,
        `${textOf(part, "stroke")} mm stroke`,
      ];
    }
    case "lever":
      return [`${textOf(part, "finger_to_pivot")} mm`, "to the finger"];
    case "caliper":
      return [part.label ?? "Caliper", numbersOf(part, "pistons").join(" "), textOf(part, "build")];
    case "slave":
      return [part.label ?? "Clutch slave", `${textOf(part, "bore")} mm bore`];
    default:
      return [];
  }
}
