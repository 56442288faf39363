import { Link } from "react-router";
import type { Bleed, Job } from "../../server/api";
import { Button } from "../../kit/Button";
import { Row } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  bleed: Bleed;
  isOpen: boolean;
}

/** A whole bleed is through and the lever does not hold: what it does says what comes next. */
export function RoundQuestion({ job, bleed, isOpen }: Props) {
  const { add } = useEntries(job, "bleed");
  if (bleed.round.says) {
    return (
      <Notice tone="stop" live>
        <strong>{bleed.round.says}</strong> <Link to={`/jobs/${job.id}/ask`}>Back to Ask</Link>: the master by
        itself, the hoses, the far end.
      </Notice>
    );
  }
  if (!isOpen || !bleed.finished || bleed.unproven) return null;
  return (
    <div>
      {bleed.round.lever_failed ? (
        <Notice tone="stop" live>
          <strong>Feel says the lever does not hold.</strong> Which is it?
        </Notice>
      ) : (
        <strong>Lever still not holding?</strong>
      )}
      <Row>
        <Button onPress={() => add("round", { lever: "springy" })}>Springy: another round</Button>
        <Button onPress={() => add("round", { lever: "sinks" })}>It sinks: back to Ask</Button>
      </Row>
    </div>
  );
}
