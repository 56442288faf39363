import styled from "styled-components";
import type { Bleed, Job, Knowledge } from "../../server/api";
import { ReservoirDrawing } from "../../drawings/ReservoirDrawing";
import { Panel, Quiet } from "../../kit/layout";
import { useHotkeys } from "../../kit/useHotkeys";
import { useKept } from "../../kit/useKept";
import { useEntries } from "../useEntries";
import { Beats } from "./Beats";
import { BleedActions } from "./BleedActions";
import { BleedFigures } from "./BleedFigures";
import { BleedNotices } from "./BleedNotices";
import { CheckList } from "./CheckList";
import { ColourScale } from "./ColourScale";
import { FlowTimer } from "./FlowTimer";
import { JarEntry } from "./JarEntry";
import { LadderPanel } from "./LadderPanel";
import { LinePanel } from "./LinePanel";
import { OrderPanel } from "./OrderPanel";
import { PointList } from "./PointList";
import { PointProfile } from "./PointProfile";
import type { Projected } from "./project";
import { RoundQuestion } from "./RoundQuestion";
import { RunEntry } from "./RunEntry";
import { ReportPanel, TightPanel } from "./ToolPanel";
import { useEars } from "./useEars";
import { WaitTimer } from "./WaitTimer";

const Counter = styled.div`
  display: grid;
  grid-template-columns: 9.5rem minmax(0, 1fr) minmax(0, 1.15fr);
  gap: 1.2rem;
  align-items: stretch;
  @media (max-width: 68rem) {
    grid-template-columns: 8rem minmax(0, 1fr);
    > :last-child {
      grid-column: 1 / -1;
    }
  }
`;

const UNDO_WORDS: Record<string, string> = {
  stroke: "stroke",
  beat: "step",
  run: "mL",
  topped_up: "refill",
  bubbles: "bubbles",
  colour: "colour",
  uncovered: "port uncovered",
  point: "change of point",
  point_done: "finished point",
  jar: "jar",
  method: "change of way",
  check: "answer",
  order: "order of the points",
  round: "round",
  rung: "rung",
  tool_tight: "gauge",
  tool_report: "report",
  people: "hands",
  temperature: "temperature",
};

const MODES = ["cycle", "beats"] as const;

interface Props extends Projected {
  job: Job;
  isOpen: boolean;
  colours: Knowledge["colours"];
  point: Bleed["points"][number];
}

/** The count of a bleed, and all that belongs to it. */
export function BleedCount({ job, isOpen, colours, bleed, undoable, waiting, point }: Props) {
  const { add, undo } = useEntries(job, "bleed");
  const [mode, setMode] = useKept("beats", MODES);
  const { ears, next: nextEars } = useEars(bleed, point);
  const isReady = bleed.unready === undefined && bleed.unchecked === undefined;
  const open = isOpen && isReady && !bleed.round.lever_failed;
  const isByBeat = mode === "beats" && bleed.cycle.beats.length > 0;
  const last = undoable[undoable.length - 1];
  const nextColour = () => {
    const at = colours.findIndex((colour) => colour.id === point.colour);
    const next = colours[(at + 1) % colours.length];
    if (next) add("colour", { colour: next.id });
  };
  const beat = (id: string | undefined) =>
    id && !bleed.reservoir.spent ? add("beat", { beat: id }) : undefined;
  const count = () => (isByBeat ? beat(bleed.cycle.turn) : add("stroke"));
  const actions = {
    // past the stroke that can uncover the port the count stops and asks
    stroke: bleed.reservoir.spent || bleed.method.by_ml ? undefined : count,
    topUp: () => add("topped_up"),
    bubbles: () => add("bubbles"),
    colour: nextColour,
    undo: last ? () => undo(last.id) : undefined,
    uncovered: () => add("uncovered"),
    finish: point.done ? undefined : () => add("point_done", { point: point.id }),
    ears: nextEars,
  };
  useHotkeys(open ? keysOf(actions) : {});
  useHotkeys(open && isByBeat ? beatKeys(bleed.cycle.beats, beat) : {});

  const isEnough = bleed.method.by_ml ? point.ml_to_go <= 0 : point.strokes_to_go === 0;
  return (
    <>
      <BleedNotices job={job} bleed={bleed} isOpen={isOpen} />
      {bleed.unready === undefined ? <OrderPanel job={job} bleed={bleed} isOpen={isOpen} /> : null}
      {bleed.unready === undefined && bleed.unchecked !== undefined ? (
        <Panel>
          <h2>Before fluid moves</h2>
          <CheckList job={job} label="Before fluid moves" checks={bleed.checks.start} isOpen={isOpen} />
          {bleed.tool.tight_wanted ? <TightPanel job={job} bleed={bleed} isOpen={isOpen} /> : null}
        </Panel>
      ) : null}
      {bleed.finished && (bleed.checks.end.length > 0 || bleed.tool.report_wanted) ? (
        <Panel>
          <h2>Last</h2>
          <CheckList job={job} label="Last" checks={bleed.checks.end} isOpen={isOpen} />
          {bleed.tool.report_wanted ? <ReportPanel job={job} bleed={bleed} isOpen={isOpen} /> : null}
        </Panel>
      ) : null}
      <RoundQuestion job={job} bleed={bleed} isOpen={isOpen} />
      <LadderPanel job={job} bleed={bleed} isOpen={isOpen} />
      <Panel>
        <PointList
          points={bleed.points}
          byMl={bleed.method.by_ml}
          current={bleed.current}
          onPick={(id) => add("point", { point: id })}
          isDisabled={!open}
        />
        <Counter>
          <ReservoirDrawing reservoir={bleed.reservoir} supply={bleed.method.supply} />
          <BleedFigures bleed={bleed} point={point} waiting={waiting} />
          <PointProfile job={job} bleed={bleed} point={point.id} isOpen={isOpen} />
        </Counter>
        {open && bleed.method.by_ml ? <RunEntry job={job} bleed={bleed} /> : null}
        {open ? (
          <BleedActions
            actions={actions}
            method={bleed.method}
            isFinished={bleed.finished}
            beat={isByBeat ? beatNow(bleed.cycle) : undefined}
            canFinish={isEnough && point.fresh}
            undoWord={last ? (UNDO_WORDS[last.kind] ?? last.kind) : undefined}
            ears={ears}
          />
        ) : null}
        {open && bleed.free_run ? <FlowTimer run={bleed.free_run} /> : null}
        {bleed.method.wait ? (
          <WaitTimer job={job} running={bleed.wait} wait={bleed.method.wait} isOpen={isOpen} />
        ) : null}
        <ColourScale
          colours={colours}
          value={point.colour}
          onChange={(colour) => add("colour", { colour })}
        />
        <Beats cycle={bleed.cycle} isByBeat={isByBeat} onMode={setMode} onBeat={open ? beat : undefined} />
        {bleed.cycle.beats.length === 0 ? <Quiet>{bleed.method.cycle.join(" → ")}</Quiet> : null}
        {bleed.method.by_ml ? null : <JarEntry job={job} bleed={bleed} isOpen={open} />}
      </Panel>
      {isOpen ? <LinePanel job={job} bleed={bleed} /> : null}
    </>
  );
}

type Actions = Record<
  "stroke" | "topUp" | "bubbles" | "colour" | "undo" | "uncovered" | "finish" | "ears",
  (() => void) | undefined
>;

const keysOf = (actions: Actions) => ({
  " ": actions.stroke,
  t: actions.topUp,
  b: actions.bubbles,
  c: actions.colour,
  u: actions.undo,
  x: actions.uncovered,
  f: actions.finish,
  e: actions.ears,
});

function beatKeys(beats: Bleed["cycle"]["beats"], onBeat: (id: string) => void) {
  return Object.fromEntries(beats.map((beat, at) => [String(at + 1), () => onBeat(beat.id)]));
}

function beatNow(cycle: Bleed["cycle"]): string | undefined {
  return cycle.beats[cycle.done]?.label;
}
