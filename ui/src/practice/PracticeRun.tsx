import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import styled from "styled-components";
import { PracticeLine } from "../drawings/PracticeLine";
import { Button } from "../kit/Button";
import { Choice } from "../kit/Choice";
import { figure } from "../kit/format";
import { Big, Column, Panel, Quiet, Row, Split } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { useHotkeys } from "../kit/useHotkeys";
import type { PracticeStart } from "../server/api";
import { practiceResultQuery } from "../server/queries";
import { useUnits } from "../server/useUnits";
import { PracticeResult } from "./PracticeResult";
import { usePractice } from "./usePractice";

interface Props {
  run: PracticeStart;
  onAgain: () => void;
  onLeave: () => void;
}

/** A quarter turn opens a nipple wide enough, and not so far that its thread draws air. */
const QUARTER = 0.25;

const Hold = styled.button<{ $on: boolean }>`
  min-height: 6rem;
  width: 100%;
  border-radius: 0.75rem;
  border: 3px solid ${(p) => p.theme.act};
  background: ${(p) => (p.$on ? p.theme.actSoft : p.theme.panel)};
  color: ${(p) => p.theme.ink};
  font: inherit;
  font-size: 1.4rem;
  font-weight: 700;
  cursor: pointer;
  touch-action: none;
  user-select: none;
`;

/** The lever held by a key or a finger, the nipple by another, both at once. */
export function PracticeRun({ run, onAgain, onLeave }: Props) {
  const units = useUnits();
  const [end, setEnd] = useState(run.ends[0]?.id ?? "");
  const [turns, setTurns] = useState(0);
  const [isPulled, setPulled] = useState(false);
  const [isOver, setOver] = useState(false);
  const { frame, fault, pull, act } = usePractice(run.id, run.travel_mm, run.frame, !isOver);
  const result = useQuery({ ...practiceResultQuery(run.id), enabled: isOver }).data;
  const hold = (pulls: boolean) => {
    setPulled(pulls);
    pull(pulls);
  };
  const nipple = () => {
    const next = turns > 0 ? 0 : QUARTER;
    setTurns(next);
    act({ do: "nipple", end, turns: next });
  };
  const topUp = () => act({ do: "pour", ml: Math.max(run.reservoir_full_ml - frame.reservoir_ml, 0) });
  useLever(hold, !isOver);
  useHotkeys({
    n: isOver ? undefined : nipple,
    t: isOver ? undefined : topUp,
    k: isOver ? undefined : () => act({ do: "tap" }),
    f: isOver ? undefined : () => setOver(true),
  });
  const low = frame.reservoir_ml / run.reservoir_full_ml < 0.25;
  return (
    <Split $left="1.6fr">
      <Panel>
        <h2>{run.lesson.label}</h2>
        <Quiet>{run.lesson.goal}</Quiet>
        {fault ? <Notice tone="stop">{fault}</Notice> : null}
        <PracticeLine run={run} frame={frame} end={end} isOpen={turns > 0} />
      </Panel>
      <Column>
        {isOver && result ? (
          <Panel>
            <PracticeResult result={result} />
            <Row $gap={1}>
              <Button tone="act" onPress={onAgain}>
                Once more
              </Button>
              <Button onPress={onLeave}>Other lessons</Button>
            </Row>
          </Panel>
        ) : (
          <>
            <Panel>
              <Hold
                type="button"
                $on={isPulled}
                onPointerDown={() => hold(true)}
                onPointerUp={() => hold(false)}
                onPointerLeave={() => hold(false)}
              >
                {isPulled ? "Pulling" : "Hold to pull"} <small>(Space)</small>
              </Hold>
              {run.ends.length > 1 ? (
                <Choice
                  label="Nipple"
                  options={run.ends.map(({ id, label }) => ({ id, label }))}
                  value={end}
                  onChange={(id) => {
                    if (turns > 0) act({ do: "nipple", end, turns: 0 });
                    setTurns(0);
                    setEnd(id);
                  }}
                />
              ) : null}
              <Row $gap={1}>
                <Button tone={turns > 0 ? "stop" : "act"} onPress={nipple}>
                  {turns > 0 ? "Shut the nipple (N)" : "Open a quarter turn (N)"}
                </Button>
                <Button onPress={topUp}>Top up (T)</Button>
                <Button onPress={() => act({ do: "tap" })}>Tap the hose (K)</Button>
                <Button onPress={() => setOver(true)}>Finish (F)</Button>
              </Row>
            </Panel>
            <Panel>
              <Row>
                <div>
                  <Big $size="2.4rem">{figure(frame.force_n, 0)}</Big>
                  <Quiet>N at the lever</Quiet>
                </div>
                <div>
                  <Big $size="2.4rem">{units.bare("volume", frame.reservoir_ml, 1)}</Big>
                  <Quiet>{`${units.unit("volume")} over the port`}</Quiet>
                </div>
                <div>
                  <Big $size="2.4rem" data-figure="jar">
                    {units.bare("volume", frame.jar_ml, 1)}
                  </Big>
                  <Quiet>{`${units.unit("volume")} in the jar`}</Quiet>
                </div>
              </Row>
              {low ? <Notice tone="warn">The reservoir is low.</Notice> : null}
            </Panel>
          </>
        )}
      </Column>
    </Split>
  );
}

/** Space held is the lever held, wherever the focus is. */
function useLever(hold: (pulls: boolean) => void, isOn: boolean) {
  useEffect(() => {
    if (!isOn) {
      hold(false);
      return undefined;
    }
    const on = (pulls: boolean) => (event: KeyboardEvent) => {
      if (event.key !== " " || event.repeat) return;
      event.preventDefault();
      hold(pulls);
    };
    const down = on(true);
    const up = on(false);
    const still = (event: KeyboardEvent) => event.key === " " && event.preventDefault();
    window.addEventListener("keydown", down);
    window.addEventListener("keydown", still);
    window.addEventListener("keyup", up);
    return () => {
      window.removeEventListener("keydown", down);
      window.removeEventListener("keydown", still);
      window.removeEventListener("keyup", up);
    };
    // the lever is the same for the life of a run
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isOn]);
}
