import type { Build } from "../../server/api";
import { SectionDrawing } from "../../drawings/SectionDrawing";
import { TrayDrawing } from "../../drawings/TrayDrawing";
import { Big, Panel, Quiet, Row, Split } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { isDone } from "../isDone";
import { KeyHelp } from "../KeyHelp";
import { NextStage } from "../NextStage";
import { Photos } from "../Photos";
import { ReckoningPanel } from "../ReckoningPanel";
import type { StageProps } from "../StageProps";
import { BuildStepPanel } from "./BuildStepPanel";
import { ChecksPanel } from "./ChecksPanel";
import { LubricantPanel } from "./LubricantPanel";

const KEYS: [string, string][] = [
  ["Space", "The step at hand is fitted. A foot switch that types a space works too."],
  ["1, 2", "Answer which way the part at hand faces"],
  ["U", "Undo the last entry"],
];

export function BuildStage({ job, view: build, isOpen }: StageProps<"build">) {
  const left = build.tray.reduce((sum, cell) => sum + cell.left, 0);
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
      <Split>
        <ReckoningPanel
          job={job}
          stage="build"
          reckoning={build}
          isAllIn={build.current === undefined && build.steps.length > 0}
          isOpen={isOpen}
        />
        <ChecksPanel job={job} build={build} isOpen={isOpen} />
      </Split>
      <LubricantPanel job={job} build={build} isOpen={isOpen} />
      <Photos
        job={job}
        stage="build"
        hint="Lips on the piston beside the diagram, ring in its groove, washers."
      />
      {isDone(job, "build") ? (
        <Notice tone="good" live>
          Together, every facing right, the tray at zero.
        </Notice>
      ) : null}
      <NextStage job={job} stage="build" />
      {build.never.map((text) => (
        <Quiet key={text}>{text}</Quiet>
      ))}
      <KeyHelp keys={KEYS} />
    </>
  );
}

/** Parts of the step at hand whose facing is not yet right: the drawing does not give it away. */
function askedParts(build: Build): string[] {
  const step = build.steps.find((each) => each.id === build.current);
  return step?.parts.filter((part) => part.question && !part.right).map((part) => part.id) ?? [];
}
