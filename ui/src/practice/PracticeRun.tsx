import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { PracticeLine } from "../drawings/PracticeLine";
import { Button } from "../kit/Button";
import { Choice } from "../kit/Choice";
import { figure } from "../kit/format";
import { Big, Column, Panel, Quiet, Row, Split } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { useKept } from "../kit/useKept";
import type { PracticeFrame, PracticeResult as Result, PracticeStart } from "../server/api";
import { practiceResultQuery } from "../server/queries";
import { useUnits } from "../server/useUnits";
import { Coach } from "./Coach";
import { Hands } from "./Hands";
import { LeverReading } from "./LeverReading";
import { PracticeResult } from "./PracticeResult";
import { usePractice } from "./usePractice";
import { WaterReading } from "./WaterReading";

interface Props {
  run: PracticeStart;
  /** Nothing is said while it is worked on. */
  isExam: boolean;
  onOver: (result: Result) => void;
  onAgain: () => void;
  onLeave: () => void;
}

const LOOKS = [
  { id: "glass", label: "Line as glass" },
  { id: "braided", label: "Line as it is" },
];
const SPEEDS = [
  { id: "1", label: "Real time" },
  { id: "3", label: "3 × faster" },
];

/** A simulated circuit that is worked by hand, until it is finished and judged. */
export function PracticeRun({ run, isExam, onOver, onAgain, onLeave }: Props) {
  const [end, setEnd] = useState(run.ends[0]?.id ?? "");
  const [turns, setTurns] = useState(0);
  const [isOver, setOver] = useState(false);
  const [look, setLook] = useKept("practice.look", ["glass", "braided"]);
  const [speed, setSpeed] = useState("1");
  const { frame, ends, fault, slips, pull, drag, hold, act, crack } = usePractice(
    run,
    end,
    Number(speed),
    !isOver,
  );
  const result = useQuery({ ...practiceResultQuery(run.id), enabled: isOver }).data;
  useEffect(() => {
    if (result) onOver(result);
    // a run is over once
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [result]);
  return (
    <Split $left="1.6fr">
      <Column>
        <Panel>
          <Quiet>{run.lesson.goal}</Quiet>
          {fault ? <Notice tone="stop">{fault}</Notice> : null}
          {isExam || isOver ? null : <Coach run={run} slips={slips} />}
          <PracticeLine
            run={run}
            ends={ends}
            frame={frame}
            end={end}
            isOpen={turns > 0}
            isGlass={look === "glass" || isOver}
            onDrag={isOver ? undefined : drag}
          />
          {isOver ? null : (
            <Row $gap={2}>
              <Choice
                label="The line"
                isLabelHidden
                options={LOOKS}
                value={look}
                onChange={(id) => setLook(id as typeof look)}
              />
              <Choice label="Speed" isLabelHidden options={SPEEDS} value={speed} onChange={setSpeed} />
            </Row>
          )}
        </Panel>
        <LeverReading runId={run.id} />
        {run.lesson.tools.includes("pass") ? <WaterReading runId={run.id} /> : null}
      </Column>
      <Column>
        {isOver ? (
          result ? (
            <Panel>
              <PracticeResult result={result} />
              <Row $gap={1}>
                <Button tone="act" onPress={onAgain}>
                  Once more
                </Button>
                <Button onPress={onLeave}>Other lessons</Button>
              </Row>
            </Panel>
          ) : null
        ) : (
          <>
            <Figures run={run} frame={frame} />
            <Hands
              run={run}
              frame={frame}
              end={end}
              turns={turns}
              onEnd={setEnd}
              onTurns={setTurns}
              pull={pull}
              hold={hold}
              act={act}
              crack={crack}
              onFinish={() => setOver(true)}
            />
          </>
        )}
      </Column>
    </Split>
  );
}

function Figures({ run, frame }: { run: PracticeStart; frame: PracticeFrame }) {
  const units = useUnits();
  return (
    <Panel>
      <Row>
        <div>
          <Big $size="2rem">{figure(frame.force_n, 0)}</Big>
          <Quiet>N at the lever</Quiet>
        </div>
        <div>
          <Big $size="2rem">{units.bare("volume", frame.reservoir_ml, 1)}</Big>
          <Quiet>{`${units.unit("volume")} over the port`}</Quiet>
        </div>
        <div>
          <Big $size="2rem" data-figure="jar">
            {units.bare("volume", frame.jar_ml, 1)}
          </Big>
          <Quiet>{`${units.unit("volume")} in the jar`}</Quiet>
        </div>
        {run.lesson.tools.includes("pass") ? (
          <div>
            <Big $size="2rem" data-figure="celsius">
              {figure(frame.celsius, 0)}
            </Big>
            <Quiet>°C at the brake</Quiet>
          </div>
        ) : null}
      </Row>
      {frame.reservoir_ml / run.reservoir_full_ml < run.pace.low ? (
        <Notice tone="warn">The reservoir is low.</Notice>
      ) : null}
    </Panel>
  );
}
