import type { PullLine, Supplies } from "../../app/api";

type Option = PullLine["options"][number];

/** What a tick takes: the bottle of the plan, else the first thing that fits, sure before doubtful. */
export function bestOption(line: PullLine, supplies: Supplies): Option | undefined {
  const right = line.options.filter((option) => !option.wrong && option.free > 0);
  const planned = supplies.bottles?.picked[0]?.item;
  if (line.id === "fluid" && planned) return right.find((option) => option.item === planned);
  return right.find((option) => !option.doubt) ?? right[0];
}
