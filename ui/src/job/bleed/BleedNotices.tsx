import { Link } from "react-router";
import type { Bleed, Job } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { Notice } from "../../kit/Notice";
import { BleedWarning } from "./BleedWarning";

interface Props {
  job: Job;
  bleed: Bleed;
  isOpen: boolean;
}

/** What stands in the way, what went wrong, and what comes next. */
export function BleedNotices({ job, bleed, isOpen }: Props) {
  const slip = bleed.slips[bleed.slips.length - 1];
  const change = bleed.changes[bleed.changes.length - 1];
  return (
    <>
      {isOpen && bleed.unready ? (
        <Notice tone="warn">
          <strong>Nothing is opened yet.</strong> {`First: ${bleed.unready}.`}
        </Notice>
      ) : null}
      {isOpen && !bleed.unready && !bleed.begun ? <FluidFirst job={job} bleed={bleed} /> : null}
      {bleed.restarts.map((restart) => (
        <Notice key={restart.at} tone="stop">
          <strong>Count started over.</strong> {restart.why}
        </Notice>
      ))}
      {slip ? (
        <Notice tone="stop" live>
          <strong>{`Cycle not counted${bleed.slips.length > 1 ? ` (${bleed.slips.length} so far)` : ""}.`}</strong>{" "}
          {slip.why}
        </Notice>
      ) : null}
      {change ? (
        <Notice tone="warn">
          <strong>{`Method changed to: ${change.to}.`}</strong> {change.says}
        </Notice>
      ) : null}
      {bleed.finished ? (
        <Finished job={job} bleed={bleed} />
      ) : (
        <BleedWarning reservoir={bleed.reservoir} method={bleed.method} />
      )}
    </>
  );
}

/** Said until the first stroke: a bleed that runs dry half way starts over. */
function FluidFirst({ job, bleed }: { job: Job; bleed: Bleed }) {
  const units = useUnits();
  const wanted = bleed.fluid_wanted_ml;
  if (wanted === undefined) return null;
  return (
    <Notice tone="warn">
      {`${units.say("volume", wanted, 0)} of fluid still belong on the bench. `}
      <Link to={`/jobs/${job.id}/choose`}>To the pull list</Link>
    </Notice>
  );
}

function Finished({ job, bleed }: { job: Job; bleed: Bleed }) {
  const fitIsOpen = job.stages.some((stage) => stage.id === "fit" && stage.status !== "done");
  if (bleed.unproven) {
    return (
      <Notice tone="warn" live>
        <strong>Every point ran clean.</strong> {`Last: ${bleed.unproven}.`}
      </Notice>
    );
  }
  return (
    <Notice tone="good" live>
      <strong>Every point ran clean.</strong> Close all nipples, set the level, then{" "}
      {fitIsOpen ? (
        <>
          <Link to={`/jobs/${job.id}/fit`}>Finish the fitting</Link>: lid, last figures, paint marks.
        </>
      ) : (
        <>
          <Link to={`/jobs/${job.id}/feel`}>check the lever in Feel</Link>.
        </>
      )}
    </Notice>
  );
}
