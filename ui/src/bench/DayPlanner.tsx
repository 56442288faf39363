import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { DayLanes } from "../drawings/DayLanes";
import { Choice } from "../kit/Choice";
import { EntryField } from "../kit/EntryField";
import { clockAt, minutesTo } from "../kit/format";
import { Quiet, Row } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { Notice } from "../kit/Notice";
import { useKept } from "../kit/useKept";
import type { DayPlan, Moved } from "../server/api";
import { planQuery } from "../server/queries";
import { PlanHead, PlanRow } from "./PlanRow";

const BENCHES = ["1", "2", "3", "4"] as const;
/** When the day ends until somebody says otherwise; later than that, a short evening is left. */
const USUAL_END = 17;
const SHORT_MINUTES = 120;

function usualEnd(): string {
  const now = new Date();
  const end = new Date(now);
  end.setHours(USUAL_END, 0, 0, 0);
  if (end.getTime() - now.getTime() < SHORT_MINUTES * 60_000)
    return clockAt(now.getTime(), Math.min(SHORT_MINUTES, minutesTo("23:59", now)));
  return clockAt(end.getTime(), 0);
}

/** Today, planned: the order of jobs and pieces of jobs that finishes most, waits filled with other work. */
export function DayPlanner() {
  const [benches, setBenches] = useKept("benches", BENCHES);
  const [until, setUntil] = useState(usualEnd);
  const [moved, setMoved] = useState<Moved[]>([]);
  const minutes = Math.max(minutesTo(until, new Date()), 1);
  const query = useQuery({
    ...planQuery({ benches: Number(benches), minutes, moved }),
    placeholderData: keepPreviousData,
  });
  const plan = query.data;
  const move = (job: string, piece: number, at: Date | undefined) => {
    const others = moved.filter((each) => each.job !== job || each.piece !== piece);
    setMoved(at === undefined ? others : [...others, { job, piece, at: at.toISOString() }]);
  };
  return (
    <>
      <Row>
        <Choice
          label="Staffed benches"
          options={BENCHES.map((id) => ({ id, label: id }))}
          value={benches}
          onChange={(id) => setBenches(id as (typeof BENCHES)[number])}
        />
        <EntryField
          label="The day ends at"
          value={until}
          onFinish={(typed) => {
            if (minutesTo(typed, new Date()) > 0) setUntil(typed);
          }}
        />
      </Row>
      {query.isError ? <Notice tone="warn">{query.error.message}</Notice> : null}
      {plan ? (
        <>
          <Summary plan={plan} />
          {plan.slots.length > 0 ? (
            <DayLanes plan={plan} benches={Number(benches)} minutes={minutes} />
          ) : (
            <Quiet>Nothing that is open can be worked on in this time.</Quiet>
          )}
          <PlanHead aria-hidden>
            <span />
            <span>Work</span>
            <span>Start at</span>
            <span>Promised for</span>
          </PlanHead>
          <ol aria-label="Plan for today">
            {plan.slots.map((slot) => (
              <PlanRow
                key={`${slot.id}.${slot.piece}`}
                slot={slot}
                from={Date.parse(plan.from)}
                isLate={plan.late.some((line) => line.id === slot.id)}
                onMove={(at) => move(slot.id, slot.piece, at)}
              />
            ))}
          </ol>
        </>
      ) : null}
    </>
  );
}

function Summary({ plan }: { plan: DayPlan }) {
  const from = Date.parse(plan.from);
  const names = (lines: DayPlan["late"]) =>
    lines.map((line) => `${line.machine.name}: ${line.circuit.name}`).join(", ");
  return (
    <>
      <p>
        <strong>
          {`${plan.finished} finished by ${clockAt(from, plan.finish)}`}
          {plan.unfinished.length > 0 ? `, ${plan.unfinished.length} not today` : ""}.
        </strong>{" "}
        {plan.exact || plan.finished === plan.most_finished
          ? "This plan is the best possible."
          : `A good order, not proven the best: at most ${plan.most_finished} could be finished.`}{" "}
        {plan.unfinished.length === 0
          ? `Nobody could be done before ${clockAt(from, plan.lower_bound)}.`
          : null}
      </p>
      {plan.late.length > 0 ? (
        <Notice tone="warn">{`Will miss the promised time: ${names(plan.late)}.`}</Notice>
      ) : null}
      {plan.unfinished.length > 0 ? (
        <p>
          <Mark kind="quiet">Will not fit</Mark> {names(plan.unfinished)}
        </p>
      ) : null}
      {plan.elsewhere.length > 0 ? <Quiet>{`Not in the shop: ${names(plan.elsewhere)}.`}</Quiet> : null}
    </>
  );
}
