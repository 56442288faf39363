import { useInfiniteQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import styled from "styled-components";
import { daySaid } from "../kit/format";
import { Quiet } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { MoreButton } from "../kit/MoreButton";
import type { LeverLine } from "../server/api";
import { pagesOf } from "../server/pagesOf";
import { leversQuery } from "../server/queries";
import { useUnits } from "../server/useUnits";

const Line = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr) 10rem;
  gap: 0.3rem 1.2rem;
  align-items: center;
  min-height: 3.6rem;
  border-top: 1px solid ${(p) => p.theme.line};
  @media (max-width: 60rem) {
    grid-template-columns: minmax(0, 1fr) 9rem;
  }
`;

const Gauge = styled.span<{ $share: number }>`
  display: block;
  height: 0.9rem;
  border: 2px solid ${(p) => p.theme.ink};
  border-radius: 0.5rem;
  background: linear-gradient(
    to right,
    ${(p) => (p.$share >= 1 ? p.theme.stop : p.theme.act)} ${(p) => Math.min(p.$share, 1) * 100}%,
    transparent 0
  );
`;

/** From here on a lever is worth a look before it is due. */
const SOON = 0.7;

/** Every lever on file, the one nearest its limit first, as it should stand by today. */
export function WorstLevers() {
  const { items, more } = pagesOf(useInfiniteQuery(leversQuery));
  if (items.length === 0) {
    return <Quiet>No lever is on file yet: a job that reads its lever and is signed puts it here.</Quiet>;
  }
  return (
    <>
      <Quiet>
        How close each lever should be to its limit today, from its last signed job and the past rate of
        change.
      </Quiet>
      <ul aria-label="Levers, the worst first">
        {items.map((line) => (
          <LeverRow key={line.circuit.id} line={line} />
        ))}
      </ul>
      <MoreButton onMore={more}>Show more</MoreButton>
    </>
  );
}

function LeverRow({ line }: { line: LeverLine }) {
  const units = useUnits();
  const share = line.share_now;
  const kind = share >= 1 ? "stop" : share >= SOON ? "warn" : "good";
  const found =
    line.cost_mm === undefined || line.limit_mm === undefined
      ? `${units.say("length", line.lift_mm ?? 0, 2)} lift, ${units.bare("length", line.wanted_mm ?? 0, 2)} wanted`
      : `${units.say("length", line.cost_mm, 1)} of ${units.say("length", line.limit_mm, 1)} lost to air`;
  return (
    <Line>
      <Link to={`/machines/${line.machine.id}?circuit=${line.circuit.id}`}>
        {`${line.machine.name}: ${line.circuit.name}`}
      </Link>
      <Quiet as="span">
        {line.damaged ? "Its readings are damaged" : `${found}, ${daySaid(line.at)}`}
        {line.due_on ? `. Due about ${daySaid(line.due_on)}` : ""}
      </Quiet>
      <span>
        <Mark kind={kind}>{`${Math.round(share * 100)} % ${share >= 1 ? "due" : ""}`}</Mark>
        <Gauge $share={share} aria-hidden />
      </span>
    </Line>
  );
}
