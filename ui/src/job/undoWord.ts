/** Kinds of entry whose name is not the word for them. */
const WORDS: Record<string, string> = {
  beat: "step",
  run: "mL",
  topped_up: "refill",
  uncovered: "port uncovered",
  point: "change of point",
  point_done: "finished point",
  method: "change of method",
  check: "answer",
  order: "order of the points",
  tool_tight: "gauge",
  tool_report: "report",
  slip: "mishap",
  people: "hands",
};

/** What is taken back, in words. */
export function undoWord(kind: string): string {
  return WORDS[kind] ?? kind.replaceAll("_", " ");
}
