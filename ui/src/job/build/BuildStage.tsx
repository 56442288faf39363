import type { Build } from "../../server/api";
import { SectionDrawing } from "../../drawings/SectionDrawing";
import { TrayDrawing } from "../../drawings/TrayDrawing";
import { Big, Panel, Quiet, Row, Split } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { Room, Rooms } from "../../kit/Rooms";
import { isDone } from "../isDone";
import { NextStage } from "../NextStage";
import { Photos } from "../photos/Photos";
import { Reckoning } from "../Reckoning";
import type { StageProps } from "../StageProps";
import { BuildStepPanel } from "./BuildStepPanel";
import { Checks } from "./Checks";
import { Lubricant } from "./Lubricant";

export function BuildStage({ job, view: build, isOpen }: StageProps<"build">) {
  const left = build.tray.reduce((sum, cell) => sum + cell.left, 0);
  const isAllIn = build.current === undefined && build.steps.length > 0;
  return (
    <>
      <Split $left="1.05fr">
        <Panel>
          <BuildStepPanel job={job} build={build} isOpen={isOpen} />
        </Panel>
        <Panel>
          {build.section ? <SectionDrawing section={build.section} asked={askedParts(build)} /> : null}
          <Row $gap={3}>
            <h2>Tray</h2>
            <Big $size="2.2rem" data-figure="left">
              {left}
              <small> left in it</small>
            </Big>
          </Row>
          <TrayDrawing label="Tray" cells={build.tray.map((cell) => ({ ...cell, count: cell.left }))} />
        </Panel>
      </Split>
      {isDone(job, "build") ? (
        <Notice tone="good" live>
          Together, every facing right, the tray at zero.
        </Notice>
      ) : null}
      <NextStage job={job} stage="build" />
      <Rooms start={build.now?.[0]?.room}>
        <Room id="tray" title="Tray empty" left={build.zero ? 0 : left}>
          <Reckoning job={job} stage="build" reckoning={build} isAllIn={isAllIn} isOpen={isOpen} />
          {build.never.map((text) => (
            <Quiet key={text}>{text}</Quiet>
          ))}
        </Room>
        <Room id="checks" title="Checks" left={build.checks.filter((check) => !check.pass).length}>
          <Checks job={job} build={build} isOpen={isOpen} />
        </Room>
        <Room
          id="lubricant"
          title="Lubricant"
          said={build.lubricants.find((each) => each.id === build.lubricant)?.label}
        >
          <Lubricant job={job} build={build} isOpen={isOpen} />
        </Room>
        <Photos
          job={job}
          stage="build"
          hint="Lips on the piston beside the diagram, ring in its groove, washers."
        />
      </Rooms>
    </>
  );
}

/** Parts of the step at hand whose facing is not yet right: the drawing does not give it away. */
function askedParts(build: Build): string[] {
  const step = build.steps.find((each) => each.id === build.current);
  return step?.parts.filter((part) => part.question && !part.right).map((part) => part.id) ?? [];
}
