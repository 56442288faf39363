import { useQuery } from "@tanstack/react-query";
import type { Bleed, Job } from "../../server/api";
import { knowledgeQuery } from "../../server/queries";
import { Big, Row } from "../../kit/layout";
import { Button } from "../../kit/Button";
import { clock, useSecondsLeft } from "../../kit/useSecondsLeft";
import { unhurried } from "../../kit/unhurried";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  /** The wait that is running, if any. */
  running: Bleed["wait"];
  /** The wait this step has, of the trade's table. */
  wait: string;
  isOpen: boolean;
}

/** A wait that cannot be hurried: started here, running on the Bench as well, with a sound at its end. */
export const WaitTimer = unhurried(function WaitTimer({ job, running, wait, isOpen }: Props) {
  const { add } = useEntries(job, "ask");
  const row = useQuery(knowledgeQuery).data?.waits.find((each) => each.id === wait);
  const left = useSecondsLeft(running?.label === row?.label ? running?.until : undefined);
  if (!row?.minutes) return null;
  return (
    <Row role="timer" aria-label={row.label}>
      {left === undefined ? null : left > 0 ? (
        <Big $size="2.6rem">{clock(left)}</Big>
      ) : (
        <strong>Time is up.</strong>
      )}
      <span>{row.label}</span>
      {isOpen && !(left !== undefined && left > 0) ? (
        <Button onPress={() => add("wait", { wait })}>{`Time ${row.minutes} min`}</Button>
      ) : null}
    </Row>
  );
});
