import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import styled from "styled-components";
import type { Bleed, Job, Knowledge } from "../../server/api";
import { knowledgeQuery } from "../../server/queries";
import { useUnits } from "../../server/useUnits";
import { useOutboxState } from "../../server/useOutbox";
import { ReservoirDrawing } from "../../drawings/ReservoirDrawing";
import { Panel } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { useHotkeys } from "../../kit/useHotkeys";
import { KeyHelp } from "../KeyHelp";
import { useEntries } from "../useEntries";
import type { StageProps } from "../StageProps";
import { BleedActions } from "./BleedActions";
import { BleedFigures } from "./BleedFigures";
import { BleedWarning } from "./BleedWarning";
import { ColourScale } from "./ColourScale";
import { Cycle } from "./Cycle";
import { LinePanel } from "./LinePanel";
import { PointList } from "./PointList";
import { project } from "./project";
import type { Projected } from "./project";

const Counter = styled.div`
  display: grid;
  grid-template-columns: 11rem minmax(0, 1fr);
  gap: 1.5rem;
  align-items: stretch;
  @media (max-width: 60rem) {
    grid-template-columns: 8rem minmax(0, 1fr);
  }
`;

const UNDO_WORDS: Record<string, string> = {
  stroke: "stroke",
  topped_up: "top-up",
  bubbles: "bubbles",
  colour: "colour",
  uncovered: "port uncovered",
  point: "change of point",
  point_done: "finished point",
};

export function BleedStage({ job, view, isOpen }: StageProps<"bleed">) {
  const { waiting: parcels } = useOutboxState();
  const colours = useQuery(knowledgeQuery).data?.colours ?? [];
  const mine = parcels.filter((parcel) => parcel.jobId === job.id && parcel.entry.stage === "bleed");
  const projected = project(
    view,
    mine,
    colours.filter((colour) => colour.fresh).map((colour) => colour.id),
  );
  const point = projected.bleed.points.find((each) => each.id === projected.bleed.current);
  return point ? (
    <BleedCount job={job} isOpen={isOpen} colours={colours} {...projected} point={point} />
  ) : null;
}

/** Said until the first stroke: a bleed that runs dry half way starts over. */
function FluidFirst({ job, bleed }: { job: Job; bleed: Bleed }) {
  const units = useUnits();
  const wanted = bleed.fluid_wanted_ml;
  if (wanted === undefined) return null;
  return (
    <Notice tone="warn">
      {`${units.say("volume", wanted, 0)} of fluid belong on the bench before the first stroke. `}
      <Link to={`/jobs/${job.id}/choose`}>To the pull list</Link>
    </Notice>
  );
}

interface Counted extends Projected {
  job: Job;
  isOpen: boolean;
  colours: Knowledge["colours"];
  point: Bleed["points"][number];
}

function BleedCount({ job, isOpen, colours, bleed, undoable, waiting, point }: Counted) {
  const open = isOpen && bleed.unready === undefined;
  const { add, undo } = useEntries(job, "bleed");

  const last = undoable[undoable.length - 1];
  const nextColour = () => {
    const at = colours.findIndex((colour) => colour.id === point.colour);
    const next = colours[(at + 1) % colours.length];
    if (next) add("colour", { colour: next.id });
  };
  const finish = point.done ? undefined : () => add("point_done", { point: point.id });
  const actions = {
    // past the stroke that can uncover the port the count stops and asks
    stroke: bleed.reservoir.spent ? undefined : () => add("stroke"),
    topUp: () => add("topped_up"),
    bubbles: () => add("bubbles"),
    colour: nextColour,
    undo: last ? () => undo(last.id) : undefined,
    uncovered: () => add("uncovered"),
    finish,
  };
  useHotkeysOfBleed(open ? actions : {});

  const fitIsOpen = job.stages.some((stage) => stage.id === "fit" && stage.status !== "done");
  return (
    <>
      {isOpen && bleed.unready ? (
        <Notice tone="warn">
          <strong>Nothing is opened yet.</strong> {`First: ${bleed.unready}.`}
        </Notice>
      ) : null}
      {open && bleed.total_strokes === 0 ? <FluidFirst job={job} bleed={bleed} /> : null}
      {bleed.restarts.map((restart) => (
        <Notice key={restart.at} tone="stop">
          <strong>Count started over.</strong> {restart.why}
        </Notice>
      ))}
      {bleed.finished ? (
        <Notice tone="good" live>
          <strong>Every point ran clean.</strong> Close all nipples, set the level, then{" "}
          {fitIsOpen ? (
            <>
              <Link to={`/jobs/${job.id}/fit`}>Finish the fitting</Link>: lid, last figures, paint marks.
            </>
          ) : (
            <>
              <Link to={`/jobs/${job.id}/feel`}>check the lever in Feel</Link>.
            </>
          )}
        </Notice>
      ) : (
        <BleedWarning reservoir={bleed.reservoir} />
      )}
      <Panel>
        <PointList
          points={bleed.points}
          current={bleed.current}
          onPick={(id) => add("point", { point: id })}
          isDisabled={!open}
        />
        <Counter>
          <ReservoirDrawing
            reservoir={bleed.reservoir}
            topUpMl={bleed.plan.strokes_per_top_up * bleed.plan.stroke_ml}
          />
          <BleedFigures bleed={bleed} point={point} waiting={waiting} />
        </Counter>
        {open ? (
          <BleedActions
            actions={actions}
            canFinish={point.strokes_to_go === 0 && point.fresh}
            undoWord={last ? UNDO_WORDS[last.kind] : undefined}
          />
        ) : null}
        <ColourScale
          colours={colours}
          value={point.colour}
          onChange={(colour) => add("colour", { colour })}
        />
        <Cycle />
      </Panel>
      <LinePanel job={job} isOpen={isOpen} isUnderway={bleed.total_strokes > 0} />
      <KeyHelp keys={KEYS} />
    </>
  );
}

const KEYS: [string, string][] = [
  [
    "Space",
    "Count one stroke: pump, hold, open, close, release. A foot switch that types a space works too.",
  ],
  ["T", "Topped up to the mark"],
  ["B", "Bubbles seen in the clear hose"],
  ["C", "Colour: one step towards fresh"],
  ["F", "Finish this point"],
  ["U", "Undo the last entry"],
  ["X", "The port was uncovered: start over"],
];

type Actions = Partial<
  Record<"stroke" | "topUp" | "bubbles" | "colour" | "undo" | "uncovered" | "finish", () => void>
>;

function useHotkeysOfBleed(actions: Actions) {
  useHotkeys({
    " ": actions.stroke,
    t: actions.topUp,
    b: actions.bubbles,
    c: actions.colour,
    u: actions.undo,
    x: actions.uncovered,
    f: actions.finish,
  });
}
