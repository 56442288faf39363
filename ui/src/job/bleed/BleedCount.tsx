import styled from "styled-components";
import type { Bleed, Job, Knowledge } from "../../server/api";
import { ReservoirDrawing } from "../../drawings/ReservoirDrawing";
import { Panel, Quiet } from "../../kit/layout";
import { useHotkeys } from "../../kit/useHotkeys";
import { useKept } from "../../kit/useKept";
import { timesOf } from "../now/digits";
import { undoWord } from "../undoWord";
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
import { nextStep, type NextStep } from "./nextStep";
import { OrderPanel } from "./OrderPanel";
import { PointList } from "./PointList";
import { PointProfile } from "./PointProfile";
import type { Projected } from "./project";
import { RoundQuestion } from "./RoundQuestion";
import { RunEntry } from "./RunEntry";
import { SampleChoice } from "./SampleChoice";
import { SlipList } from "./SlipList";
import { StepClock } from "../StepClock";
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

/** What is wanted now and then. */
const Asides = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 1.6rem;
  align-items: start;
`;

const MODES = ["cycle", "beats"] as const;

interface Props extends Projected {
  job: Job;
  isOpen: boolean;
  colours: Knowledge["colours"];
  point: Bleed["points"][number];
}

/** The count of a bleed, and all that belongs to it. */
export function BleedCount({ job, isOpen, colours, bleed, undoable, waiting, isBehind, point }: Props) {
  const { add, undo, addAll } = useEntries(job, "bleed");
  const [mode, setMode] = useKept("beats", MODES);
  const { ears, next: nextEars } = useEars(bleed, point);
  const isReady = bleed.unready === undefined && bleed.unchecked === undefined;
  const open = isOpen && isReady && !bleed.round.lever_failed;
  const isByBeat = mode === "beats" && bleed.cycle.beats.length > 0;
  const isEnough = (bleed.method.by_ml ? point.ml_to_go <= 0 : point.strokes_to_go === 0) && point.fresh;
  const next = nextStep(bleed, isEnough, isByBeat);
  // sent twice, the same step would be out of turn; a stroke may follow a stroke
  const isBusy = isBehind && (bleed.method.by_ml || (bleed.cycle.phase ?? "cycle") !== "cycle");
  const last = undoable[undoable.length - 1];
  const [card] = bleed.now ?? [];
  const times = card && timesOf(card);
  const nextColour = () => {
    const at = colours.findIndex((colour) => colour.id === point.colour);
    const next = colours[(at + 1) % colours.length];
    if (next) add("colour", { colour: next.id });
  };
  const beat = (id: string) => add("beat", { beat: id });
  const actions = {
    // past the stroke that can uncover the port the count stops and asks
    next: next && (() => (isBusy ? undefined : doNext(next, add))),
    topUp: () => add("topped_up"),
    bubbles: () => add("bubbles"),
    colour: nextColour,
    undo: last ? () => undo(last.id) : undefined,
    uncovered: () => add("uncovered"),
    finish: point.done ? undefined : () => add("point_done", { point: point.id }),
    ears: nextEars,
  };
  useHotkeys(open ? keysOf(actions) : {});
  useHotkeys(open && !isBusy && (isByBeat || bleed.method.by_ml) ? beatKeys(bleed.cycle.beats, beat) : {});

  return (
    <>
      <BleedNotices job={job} bleed={bleed} isOpen={isOpen} />
      {bleed.unready === undefined ? <OrderPanel job={job} bleed={bleed} isOpen={isOpen} /> : null}
      {bleed.unready === undefined && bleed.unchecked !== undefined && bleed.proposed === undefined ? (
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
        {open && bleed.method.by_ml ? (
          <div id={RUN_FIELD}>
            <RunEntry job={job} bleed={bleed} />
          </div>
        ) : null}
        {open ? (
          <BleedActions
            actions={actions}
            isBusy={isBusy}
            method={bleed.method}
            isFinished={bleed.finished}
            step={stepSaid(next, bleed)}
            how={howSaid(next)}
            times={
              times && {
                label: times.label,
                // what is still on its way has changed how many there are
                send: waiting > 0 ? undefined : () => addAll(times.looks.map((look) => look.entry)),
              }
            }
            canFinish={isEnough}
            undoWord={last && undoWord(last.kind)}
            ears={ears}
          />
        ) : null}
        {open && next?.does === "beat" && next.beat.seconds ? (
          <StepClock
            key={`${point.id} ${next.beat.id}`}
            seconds={next.beat.seconds}
            label={next.beat.label}
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
        {bleed.loose ? <Quiet>{bleed.loose}</Quiet> : null}
        <Beats
          cycle={bleed.cycle}
          isByMl={bleed.method.by_ml}
          isByBeat={isByBeat}
          onMode={setMode}
          onBeat={open ? beat : undefined}
        />
        {open ? (
          <Asides>
            <SlipList job={job} bleed={bleed} />
            {bleed.begun ? <SampleChoice job={job} bleed={bleed} /> : null}
          </Asides>
        ) : null}
        {bleed.method.by_ml ? null : <JarEntry job={job} bleed={bleed} isOpen={open} />}
      </Panel>
      {isOpen ? <LinePanel job={job} bleed={bleed} /> : null}
    </>
  );
}

/** Room for the figure that is entered next. */
const RUN_FIELD = "bleed-run";

function doNext(next: NextStep, add: (kind: string, data?: Record<string, unknown>) => void) {
  if (next.does === "beat") add("beat", { beat: next.beat.id });
  else if (next.does === "run") document.querySelector<HTMLElement>(`#${RUN_FIELD} input`)?.focus();
  else add(next.does);
}

function stepSaid(next: NextStep | undefined, bleed: Bleed): string {
  if (!next)
    return bleed.method.supply === "reservoir"
      ? "Topped up, or port uncovered?"
      : "Refilled, or syringe empty?";
  if (next.does === "beat") return next.beat.label;
  if (next.does === "run") return next.beat ? `${next.beat.label}: enter the mL` : "Enter the mL";
  return next.does === "topped_up" ? bleed.method.refill : "Count a stroke";
}

/** What the hand does, what the eye watches, and when it is over. */
function howSaid(next: NextStep | undefined): string | undefined {
  const beat = next && "beat" in next ? next.beat : undefined;
  if (!beat) return undefined;
  return [
    `${beat.how.charAt(0).toUpperCase()}${beat.how.slice(1)}.`,
    ...(beat.watch ? [`Watch: ${beat.watch}.`] : []),
    ...(beat.ends ? [`Ends when: ${beat.ends}.`] : []),
    ...(beat.helper ? ["The helper does this."] : []),
  ].join(" ");
}

type Actions = Record<
  "next" | "topUp" | "bubbles" | "colour" | "undo" | "uncovered" | "finish" | "ears",
  (() => void) | undefined
>;

const keysOf = (actions: Actions) => ({
  " ": actions.next,
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
