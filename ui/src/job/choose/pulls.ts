import type { NewEntry, PullLine } from "../../server/api";

/** What a tick writes: an entry for each thing taken off the shelf, or one that says it was on hand. */
export function pulls(line: PullLine): NewEntry["data"][] {
  return line.takes.length > 0 ? line.takes.map((item) => ({ line: line.id, item })) : [{ line: line.id }];
}
