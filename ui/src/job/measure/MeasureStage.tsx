import { Split } from "../../kit/layout";
import { KeyHelp } from "../KeyHelp";
import { NextStage } from "../NextStage";
import { Photos } from "../Photos";
import type { StageProps } from "../StageProps";
import { ComparePanel } from "./ComparePanel";
import { GaugePanel } from "./GaugePanel";
import { InspectionPanel } from "./InspectionPanel";
import { VerdictPanel } from "./VerdictPanel";

const KEYS: [string, string][] = [
  ["1 to 9", "Answer the look at hand"],
  ["G", "To the gauge field; Enter takes a reading and goes on to the next place"],
];

export function MeasureStage({ job, view: measure, isOpen }: StageProps<"measure">) {
  const compares = measure.comparison.some((row) => row.value !== "same" && row.value !== "resolved");
  return (
    <>
      {measure.apart && !compares ? (
        <>
          <VerdictPanel job={job} measure={measure} isOpen={isOpen} />
          <Split>
            <InspectionPanel job={job} measure={measure} isOpen={isOpen} />
            <GaugePanel job={job} measure={measure} isOpen={isOpen} />
          </Split>
        </>
      ) : (
        <ComparePanel job={job} measure={measure} isOpen={isOpen} />
      )}
      <Photos job={job} stage="measure" hint="Bore by torch and mirror, piston, old cups." />
      <NextStage job={job} stage="measure" />
      {measure.apart ? <KeyHelp keys={KEYS} /> : null}
    </>
  );
}
