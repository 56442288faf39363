import type { PullLine, Supplies } from "../../app/api";

type Option = PullLine["options"][number];

/** What a tick takes: every bottle of the plan, else the first thing that fits, sure before doubtful. */
export function bestOptions(line: PullLine, supplies: Supplies): Option[] {
  const right = line.options.filter((option) => !option.wrong && option.free > 0);
  const planned = supplies.bottles?.picked.map((bottle) => bottle.item) ?? [];
  if (line.id === "fluid" && planned.length > 0)
    return right.filter((option) => planned.includes(option.item));
  return [right.find((option) => !option.doubt) ?? right[0]].filter((option) => option !== undefined);
}
