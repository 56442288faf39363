import { Link } from "react-router";
import type { Feel, Job } from "../../app/api";
import { LeverCurve } from "../../drawings/LeverCurve";
import { Panel, Split } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { useHotkeys } from "../../kit/useHotkeys";
import { Cautions } from "../Cautions";
import { isDone } from "../isDone";
import { KeyHelp } from "../KeyHelp";
import { useEntries } from "../useEntries";
import { HoldTest } from "./HoldTest";
import { LiftTest } from "./LiftTest";
import { ReadingEntry } from "./ReadingEntry";
import { ReadingList } from "./ReadingList";
import { VerdictPanel } from "./VerdictPanel";

export function FeelStage({ job }: { job: Job }) {
  return job.feel ? <LeverCheck job={job} feel={job.feel} /> : null;
}

const PEDALS: string[] = ["brake_foot", "brake_kart"];

const focusOn = (name: string) => () =>
  document.querySelector<HTMLInputElement>(`input[name="${name}"]`)?.focus();

function LeverCheck({ job, feel }: { job: Job; feel: Feel }) {
  const { add, undo } = useEntries(job, "feel");
  const open = !job.signed && !job.stop;
  const last = feel.recent[feel.recent.length - 1];
  useHotkeys({
    n: focusOn(feel.clutch ? "lift" : "force"),
    h: focusOn("creep"),
    u: open && last ? () => undo(last.id) : undefined,
  });
  const done = isDone(job, "feel");
  return (
    <>
      {feel.stale ? (
        <Notice tone="warn">
          Readings were taken before the last strokes. They say nothing about the lever as it is now: read
          again.
        </Notice>
      ) : null}
      <Split $left="1.6fr">
        <Panel>
          {feel.clutch ? (
            <LiftTest feel={feel} isOpen={open} onMeasure={(lift) => add("lift", { lift })} />
          ) : (
            <>
              {open ? (
                <ReadingEntry
                  feel={feel}
                  point={PEDALS.includes(job.sheet.kind) ? "pedal pad" : "finger"}
                  onRead={(force, travel) => add("reading", { force, travel })}
                />
              ) : null}
              <LeverCurve
                expected={feel.expected}
                fitted={feel.fitted}
                readings={feel.readings}
                referenceN={feel.reference_n}
              />
              <ReadingList
                readings={feel.readings}
                isOpen={open}
                onSetAside={(entry) => add("set_aside", { entry, reason: "set aside by the mechanic" })}
                onUndo={undo}
              />
            </>
          )}
        </Panel>
        <div style={{ display: "grid", gap: "1.5rem" }}>
          <VerdictPanel feel={feel} onAccept={open ? (reason) => add("accepted", { reason }) : undefined} />
          <HoldTest hold={feel.hold} isOpen={open} onMeasure={(creep) => add("hold", { creep })} />
          {done ? <Link to={`/jobs/${job.id}/close`}>Go on to Close</Link> : null}
        </div>
      </Split>
      <Cautions stage="feel" />
      <KeyHelp keys={KEYS} />
    </>
  );
}

const KEYS: [string, string][] = [
  ["N", "New reading: puts the cursor in the first field"],
  ["Enter", "Next field; after the last one the reading is taken down"],
  ["Esc", "Leaves a field, so that the other keys work again"],
  ["H", "Hold test: puts the cursor in its field"],
  ["U", "Undo the last entry"],
];
