import { Panel } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { Rooms } from "../../kit/Rooms";
import { NextStage } from "../NextStage";
import { Photos } from "../photos/Photos";
import { Reckoning } from "../Reckoning";
import type { StageProps } from "../StageProps";
import { ClearancePanel } from "./ClearancePanel";
import { FitRoom } from "./FitRoom";
import { FitStep } from "./FitStep";
import { FreePlayPanel } from "./FreePlayPanel";
import { HosePanel } from "./HosePanel";
import { ReservoirPanel } from "./ReservoirPanel";
import { StillToDo } from "./StillToDo";
import { SwitchPanel } from "./SwitchPanel";
import { TorquePanel } from "./TorquePanel";
import { WasherPanel } from "./WasherPanel";

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
      {fit.current ? (
        <Panel>
          <FitStep {...props} />
        </Panel>
      ) : null}
      <NextStage job={job} stage="fit" />
      <StillToDo fit={fit} />
      <Rooms start={fit.now?.[0]?.room}>
        {fit.current ? null : (
          <FitRoom fit={fit} id="steps" title="Steps">
            <FitStep {...props} />
          </FitRoom>
        )}
        <HosePanel {...props} />
        <WasherPanel {...props} />
        <TorquePanel {...props} />
        <FreePlayPanel {...props} />
        <ClearancePanel {...props} />
        <ReservoirPanel {...props} />
        <SwitchPanel {...props} />
        {fit.all_back ? (
          <FitRoom fit={fit} id="tray" title="Tray empty">
            <Reckoning job={job} stage="fit" reckoning={fit} isAllIn isOpen={isOpen} />
          </FitRoom>
        ) : null}
        <Photos
          job={job}
          stage="fit"
          hint="Clamp mark, washers in place, the hose at full lock, paint marks."
        />
      </Rooms>
    </>
  );
}
