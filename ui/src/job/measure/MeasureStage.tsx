import type { Job, Measure } from "../../server/api";
import { Room, Rooms } from "../../kit/Rooms";
import { NextStage } from "../NextStage";
import { Photos } from "../photos/Photos";
import type { StageProps } from "../StageProps";
import { ComparePanel } from "./ComparePanel";
import { GaugePanel } from "./GaugePanel";
import { InnerPanel } from "./InnerPanel";
import { LooksSeen } from "./LooksSeen";
import { VerdictPanel } from "./VerdictPanel";

export function MeasureStage({ job, view: measure, isOpen }: StageProps<"measure">) {
  const compares = measure.comparison.some((row) => row.value === undefined || row.value === "differs");
  return (
    <>
      {measure.apart && !compares ? (
        <>
          <VerdictPanel job={job} measure={measure} isOpen={isOpen} />
          <MeasureRooms job={job} measure={measure} isOpen={isOpen} />
        </>
      ) : (
        <>
          <ComparePanel job={job} measure={measure} isOpen={isOpen} />
          <MeasurePhotos job={job} />
        </>
      )}
      <NextStage job={job} stage="measure" />
    </>
  );
}

/** What was seen and what is gauged; the gauge's places are open once everything is looked at. */
function MeasureRooms({ job, measure, isOpen }: { job: Job; measure: Measure; isOpen: boolean }) {
  const seen = measure.inspection.filter((look) => look.value !== undefined).length;
  const places = measure.places ?? [];
  const inner = measure.inner ?? [];
  const read = places.filter((place) => place.value_mm !== undefined).length;
  const isGauged = measure.by_eye === true || read === places.length;
  const comparesNow = measure.now?.[0]?.id.startsWith("inner.");
  const start =
    measure.inspection.length > seen ? undefined : comparesNow ? "inner" : isGauged ? undefined : "gauge";
  return (
    <Rooms start={start}>
      <Room id="looks" title="What is seen" left={measure.inspection.length - seen}>
        <LooksSeen job={job} measure={measure} isOpen={isOpen} />
      </Room>
      <Room
        id="gauge"
        title="What is gauged"
        said={measure.by_eye ? "judged by eye" : `${read} of ${places.length} places read`}
        left={measure.by_eye ? 0 : places.length - read}
      >
        <GaugePanel job={job} measure={measure} isOpen={isOpen} />
      </Room>
      {inner.length > 0 ? (
        <Room id="inner" title="New against old" left={inner.filter((line) => !line.settled).length}>
          <InnerPanel job={job} measure={measure} isOpen={isOpen} />
        </Room>
      ) : null}
      <MeasurePhotos job={job} />
    </Rooms>
  );
}

function MeasurePhotos({ job }: { job: Job }) {
  return <Photos job={job} stage="measure" hint="Bore by torch and mirror, piston, old cups." />;
}
