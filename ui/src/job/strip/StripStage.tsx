import { Link } from "react-router";
import { SectionDrawing } from "../../drawings/SectionDrawing";
import { TrayDrawing } from "../../drawings/TrayDrawing";
import { Saved } from "../../kit/Saved";
import { Panel, Quiet, Row, Split } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { Room, Rooms } from "../../kit/Rooms";
import { isDone } from "../isDone";
import { NextStage } from "../NextStage";
import { Photos } from "../photos/Photos";
import type { Job, Strip } from "../../server/api";
import type { StageProps } from "../StageProps";
import { OpenToTheAir } from "./OpenToTheAir";
import { SetupLines } from "./SetupLines";
import { StepList } from "./StepList";
import { StepPanel } from "./StepPanel";
import { StuckPiston } from "./StuckPiston";

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
      {strip.steps.length > 0 ? <StripWork job={job} strip={strip} isOpen={isOpen} /> : null}
      {isDone(job, "strip") ? (
        <Notice tone="good" live>
          {strip.steps.length > 0
            ? "All of it is out and counted. Clean and dry it, then look at it."
            : "Machine and mechanic are protected."}
        </Notice>
      ) : null}
      <NextStage job={job} stage="strip" />
      <StripRooms job={job} strip={strip} isOpen={isOpen} />
    </>
  );
}

/** What is set up, the whole order, what helps, and the photos. */
function StripRooms({ job, strip, isOpen }: { job: Job; strip: Strip; isOpen: boolean }) {
  const open = strip.setup.filter((row) => row.value === undefined);
  const wanted = open.filter((row) => row.word === "block").length;
  const optional = open.length - wanted;
  return (
    <Rooms start={wanted > 0 ? "setup" : undefined}>
      <Room
        id="setup"
        title="Set-up"
        left={wanted}
        {...(optional > 0 ? { said: `${optional} optional` } : {})}
      >
        <SetupLines job={job} strip={strip} isOpen={isOpen} />
      </Room>
      {strip.steps.length > 0 ? (
        <Room id="order" title="The order for this construction" said={`${strip.steps.length} steps`}>
          <StepList strip={strip} />
        </Room>
      ) : null}
      {isOpen && strip.ready && strip.steps.length > 0 ? (
        <Room id="stuck" title="The piston is stuck">
          <StuckPiston job={job} strip={strip} />
        </Room>
      ) : null}
      <Photos
        job={job}
        stage="strip"
        hint="Whole lever, clamp split, hose angle, reservoir tilt, lever gap; then each part before it moves."
      />
    </Rooms>
  );
}

/** The step at hand, the cylinder cut open and the tray: only where something comes off. */
function StripWork({ job, strip, isOpen }: { job: Job; strip: Strip; isOpen: boolean }) {
  return (
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
  );
}
