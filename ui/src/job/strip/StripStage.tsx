import { Link } from "react-router";
import { SectionDrawing } from "../../drawings/SectionDrawing";
import { TrayDrawing } from "../../drawings/TrayDrawing";
import { Saved } from "../../kit/Saved";
import { Panel, Quiet, Row, Split } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { isDone } from "../isDone";
import { KeyHelp } from "../KeyHelp";
import { NextStage } from "../NextStage";
import { Photos } from "../Photos";
import type { Job, Strip } from "../../server/api";
import type { StageProps } from "../StageProps";
import { OpenToTheAir } from "./OpenToTheAir";
import { SetupPanel } from "./SetupPanel";
import { StepList } from "./StepList";
import { StepPanel } from "./StepPanel";
import { StuckPiston } from "./StuckPiston";

const KEYS: [string, string][] = [
  ["Space", "The step at hand is done. A foot switch that types a space works too."],
  ["U", "Undo the last entry"],
];

export function StripStage({ job, view: strip, isOpen }: StageProps<"strip">) {
  const wanting = strip.wanting.length;
  return (
    <>
      {strip.lever_locked && isOpen ? <OpenToTheAir strip={strip} /> : null}
      {isOpen && wanting > 0 ? (
        <Notice tone="warn">
          {`Still to fetch before anything is opened: ${strip.wanting.join(", ")}. `}
          <Link to={`/jobs/${job.id}/choose`}>To the pull list</Link>
        </Notice>
      ) : null}
      <SetupPanel job={job} strip={strip} isOpen={isOpen} />
      {strip.steps.length > 0 ? <StripWork job={job} strip={strip} isOpen={isOpen} /> : null}
      <Photos
        job={job}
        stage="strip"
        hint="Whole lever, clamp split, hose angle, reservoir tilt, lever gap; then each part before it moves."
      />
      {isDone(job, "strip") ? (
        <Notice tone="good" live>
          {strip.steps.length > 0
            ? "All of it is out and counted. Clean and dry it, then look at it."
            : "Machine and mechanic are protected."}
        </Notice>
      ) : null}
      <NextStage job={job} stage="strip" />
      {strip.steps.length > 0 ? <KeyHelp keys={KEYS} /> : null}
    </>
  );
}

/** The step at hand, the cylinder cut open and the tray: only where something comes off. */
function StripWork({ job, strip, isOpen }: { job: Job; strip: Strip; isOpen: boolean }) {
  return (
    <>
      <Split $left="1.05fr">
        <Panel>
          <StepPanel job={job} strip={strip} isOpen={isOpen} />
        </Panel>
        <Panel>
          <Saved name="section" label="the cylinder">
            {(button) => (
              <>
                <Row>
                  <h2>{strip.construction}</h2>
                  {strip.section ? button : null}
                </Row>
                {strip.section ? <SectionDrawing section={strip.section} /> : null}
              </>
            )}
          </Saved>
          <Row>
            <h2>Tray</h2>
            <Quiet>{`${strip.pieces} pieces out, in the order they came. A cross marks parts to discard.`}</Quiet>
          </Row>
          {strip.tray.length > 0 ? (
            <TrayDrawing label="Tray" cells={strip.tray.map((cell) => ({ ...cell, count: cell.out }))} />
          ) : (
            <Quiet>Nothing is out yet.</Quiet>
          )}
        </Panel>
      </Split>
      {isOpen && strip.ready ? <StuckPiston job={job} strip={strip} /> : null}
      <StepList strip={strip} />
    </>
  );
}
