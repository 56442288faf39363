import type { Job, PullLine } from "../../server/api";
import { TextButton } from "../../kit/layout";
import { useEntries } from "../useEntries";
import { pulls } from "./pulls";

interface Props {
  job: Job;
  lines: PullLine[];
  onItsWay: ReadonlySet<unknown>;
}

/** One tap for the lines of a group that need no thought: nothing to weigh up, nothing to buy. */
export function TickTheRest({ job, lines, onItsWay }: Props) {
  const { add } = useEntries(job, "choose");
  const sure = lines.filter(
    (line) =>
      !line.done && !line.needed && line.short === 0 && !onItsWay.has(line.id) && line.doubtful === undefined,
  );
  if (sure.length < 2) return null;
  const tickAll = () => sure.flatMap(pulls).forEach((pulled) => add("pulled", pulled));
  return (
    <TextButton type="button" onClick={tickAll}>
      {`Tick the other ${sure.length}`}
    </TextButton>
  );
}
