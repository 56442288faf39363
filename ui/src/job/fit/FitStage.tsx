import { Split } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { KeyHelp } from "../KeyHelp";
import { NextStage } from "../NextStage";
import { Photos } from "../Photos";
import { ReckoningPanel } from "../ReckoningPanel";
import type { StageProps } from "../StageProps";
import { ClearancePanel } from "./ClearancePanel";
import { FitStepPanel } from "./FitStepPanel";
import { FreePlayPanel } from "./FreePlayPanel";
import { HosePanel } from "./HosePanel";
import { ReservoirPanel } from "./ReservoirPanel";
import { StillToDo } from "./StillToDo";
import { SwitchPanel } from "./SwitchPanel";
import { TorquePanel } from "./TorquePanel";
import { WasherPanel } from "./WasherPanel";

const KEYS: [string, string][] = [
  ["Space", "The step at hand is done. A foot switch that types a space works too."],
  ["1, 2", "Answer which way the part at hand faces"],
  ["T", "Torque: puts the cursor in the field of the next fastener"],
  ["U", "Undo the last entry"],
];

export function FitStage({ job, view: fit, isOpen }: StageProps<"fit">) {
  const props = { job, fit, isOpen };
  return (
    <>
      {fit.unready ? <Notice tone="warn">{`Not yet: ${fit.unready}.`}</Notice> : null}
      {fit.clash ? (
        <Notice tone="stop" live>
          <strong>{`${fit.clash.label} clashed at the dry trial.`}</strong>{" "}
          {`${fit.clash.wants} Pick the replacement in Choose, then repeat the trial fit.`}
        </Notice>
      ) : null}
      <Split $left="1.2fr">
        <FitStepPanel {...props} />
        <StillToDo fit={fit} />
      </Split>
      <TorquePanel {...props} />
      <Split>
        <WasherPanel {...props} />
        <FreePlayPanel {...props} />
      </Split>
      <HosePanel {...props} />
      <ClearancePanel {...props} />
      <Split>
        <ReservoirPanel {...props} />
        <SwitchPanel {...props} />
      </Split>
      {fit.all_back ? <ReckoningPanel job={job} stage="fit" reckoning={fit} isAllIn isOpen={isOpen} /> : null}
      <Photos
        job={job}
        stage="fit"
        hint="Clamp mark, washers in place, the hose at full lock, paint marks."
      />
      <NextStage job={job} stage="fit" />
      <KeyHelp keys={KEYS} />
    </>
  );
}
