import { Link } from "react-router";
import styled from "styled-components";
import { Button } from "../kit/Button";
import { EntryField } from "../kit/EntryField";
import { clockAt, minutesTo, timeOn } from "../kit/format";
import { Mark } from "../kit/Mark";
import type { DayPlan } from "../server/api";
import { useOutbox } from "../server/useOutbox";

interface Props {
  slot: DayPlan["slots"][number];
  /** Minute 0, ms. */
  from: number;
  isLate: boolean;
  /** To a time of the day; nothing removes it. */
  onMove: (at: Date | undefined) => void;
}

export const PlanHead = styled.div`
  display: grid;
  grid-template-columns: 8.5rem minmax(0, 1fr) 7rem 7rem;
  gap: 1rem;
  font-weight: 600;
  color: ${(p) => p.theme.quiet};
  @media (max-width: 60rem) {
    display: none;
  }
`;

const Line = styled.li`
  display: grid;
  grid-template-columns: 8.5rem minmax(0, 1fr) 7rem 7rem;
  gap: 0.3rem 1rem;
  align-items: center;
  padding: 0.45rem 0;
  border-top: 1px solid ${(p) => p.theme.line};
  small {
    display: block;
    color: ${(p) => p.theme.quiet};
  }
  @media (max-width: 60rem) {
    grid-template-columns: 8.5rem minmax(0, 1fr);
  }
`;

const When = styled.strong`
  font:
    700 1.15rem "Atkinson Hyperlegible Mono Variable",
    monospace;
  letter-spacing: -0.04em;
`;

/** A piece of a job in its place; put somewhere else by hand, the rest is planned round it. */
export function PlanRow({ slot, from, isLate, onMove }: Props) {
  const outbox = useOutbox();
  const start = clockAt(from, slot.start);
  const name = `${slot.machine.name}: ${slot.circuit.name}`;
  const put = (typed: string) => {
    const at = timeOn(new Date(from), typed);
    if (at && minutesTo(typed, new Date(from)) >= 0) onMove(at);
  };
  const promise = (typed: string) => {
    const at = timeOn(new Date(from), typed);
    if (!at || at.getTime() <= from) return;
    outbox.add(slot.id, { stage: "ask", kind: "promise", data: { at: at.toISOString() } });
  };
  const isLast = slot.piece === slot.pieces - 1;
  return (
    <Line>
      <When>{`${start}–${clockAt(from, slot.finish)}`}</When>
      <div>
        <Link to={`/jobs/${slot.id}/${slot.current}`}>{name}</Link>
        <small>
          {`${slot.label}, ${slot.finish - slot.start} min`}
          {slot.wait > 0 ? `, then ${slot.wait} min wait` : ""}
        </small>
        {isLate ? <Mark kind="warn">Promise not kept</Mark> : null}
      </div>
      {slot.moved ? (
        <Button aria-label={`${name}: unpin from ${start}`} onPress={() => onMove(undefined)}>
          Unpin
        </Button>
      ) : (
        <EntryField
          label={`${name}, piece ${slot.piece + 1}: start at`}
          isLabelHidden
          value={start}
          onFinish={put}
        />
      )}
      {isLast ? (
        <EntryField
          key={slot.promised ?? "none"}
          label={`${name}: promised for`}
          isLabelHidden
          value={slot.promised ? clockAt(Date.parse(slot.promised), 0) : ""}
          onFinish={promise}
        />
      ) : null}
    </Line>
  );
}
