import type { NewEntry, PullLine, Supplies } from "../../app/api";
import { bestOptions } from "./bestOptions";

/** What a tick writes: an entry for each thing taken off the shelf, or one that says it was on hand. */
export function pulls(line: PullLine, supplies: Supplies): NewEntry["data"][] {
  const options = bestOptions(line, supplies);
  return options.length > 0 ? options.map(({ item }) => ({ line: line.id, item })) : [{ line: line.id }];
}
