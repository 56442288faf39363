import type { Job, PullLine, Supplies } from "../../app/api";
import { TextButton } from "../../kit/layout";
import { useEntries } from "../useEntries";
import { bestOptions } from "./bestOptions";
import { pulls } from "./pulls";
import { useOnItsWay } from "./useOnItsWay";

interface Props {
  job: Job;
  lines: PullLine[];
  supplies: Supplies;
}

/** One tap for the lines of a group that need no thought: nothing to weigh up, nothing to buy. */
export function TickTheRest({ job, lines, supplies }: Props) {
  const { add } = useEntries(job, "choose");
  const onItsWay = useOnItsWay(job, supplies);
  const sure = lines.filter(
    (line) =>
      !line.done &&
      !line.needed &&
      line.short === 0 &&
      !onItsWay.has(line.id) &&
      !bestOptions(line, supplies).some((option) => option.doubt),
  );
  if (sure.length < 2) return null;
  const tickAll = () =>
    sure.flatMap((line) => pulls(line, supplies)).forEach((pulled) => add("pulled", pulled));
  return (
    <TextButton type="button" onClick={tickAll}>
      {`Tick the other ${sure.length}`}
    </TextButton>
  );
}
