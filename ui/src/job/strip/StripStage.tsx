import { Link } from "react-router";
import { SectionDrawing } from "../../drawings/SectionDrawing";
import { TrayDrawing } from "../../drawings/TrayDrawing";
import { Panel, Quiet, Row, Split } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { isDone } from "../isDone";
import { KeyHelp } from "../KeyHelp";
import { NextStage } from "../NextStage";
import { Photos } from "../Photos";
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
      <Split $left="1.05fr">
        <Panel>
          <StepPanel job={job} strip={strip} isOpen={isOpen} />
        </Panel>
        <Panel>
          <Row>
            <h2>{strip.construction}</h2>
          </Row>
          {strip.section ? <SectionDrawing section={strip.section} /> : null}
          <Row>
            <h2>Tray</h2>
            <Quiet>{`${strip.pieces} pieces out, in the order they came. A cross is for the bin.`}</Quiet>
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
      <Photos
        job={job}
        stage="strip"
        hint="Whole lever, clamp split, hose angle, reservoir tilt, lever gap; then each part before it moves."
      />
      {isDone(job, "strip") ? (
        <Notice tone="good" live>
          All of it is out and counted. Clean and dry it, then look at it.
        </Notice>
      ) : null}
      <NextStage job={job} stage="strip" />
      <KeyHelp keys={KEYS} />
    </>
  );
}
