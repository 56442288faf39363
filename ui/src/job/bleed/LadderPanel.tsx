import styled from "styled-components";
import type { Bleed, Job } from "../../server/api";
import { Button } from "../../kit/Button";
import { Panel, Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { unhurried } from "../../kit/unhurried";
import { useEntries } from "../useEntries";
import { WaitTimer } from "./WaitTimer";

type Rung = Bleed["stubborn"][number];

interface Props {
  job: Job;
  bleed: Bleed;
  isOpen: boolean;
}

const List = styled.ol`
  display: grid;
  li {
    display: grid;
    gap: 0.3rem;
    padding: 0.45rem 0.6rem;
    border-top: 1px solid ${(p) => p.theme.line};
  }
  li[aria-current="step"] {
    background: ${(p) => p.theme.actSoft};
    border-radius: 0.4rem;
  }
`;

/** Air that stays, rung by rung; what this circuit cannot do is left out. */
export const LadderPanel = unhurried(function LadderPanel({ job, bleed, isOpen }: Props) {
  if (bleed.stubborn.length === 0) return null;
  const ahead = bleed.stubborn.filter((rung) => !rung.outcome && !rung.turn);
  return (
    <Panel>
      <h2>{`Stubborn air, round ${bleed.round.number} of ${bleed.round.most}`}</h2>
      <Quiet>In this order. After each one that brings air, or when none does, bleed the points again.</Quiet>
      <List aria-label="Stubborn air">
        {bleed.stubborn
          .filter((rung) => rung.outcome ?? rung.turn)
          .map((rung) => (
            <li key={rung.id} aria-current={rung.turn ? "step" : undefined}>
              <Heading rung={rung} />
              {rung.turn ? <RungNow job={job} bleed={bleed} rung={rung} isOpen={isOpen} /> : null}
            </li>
          ))}
      </List>
      {ahead.length > 0 ? (
        <details>
          <summary>{`${ahead.length} further`}</summary>
          <List aria-label="More steps">
            {ahead.map((rung) => (
              <li key={rung.id}>
                <Heading rung={rung} />
              </li>
            ))}
          </List>
        </details>
      ) : null}
    </Panel>
  );
});

function Heading({ rung }: { rung: Rung }) {
  return (
    <Row $gap={1}>
      <strong>{rung.label}</strong>
      {rung.came ? (
        <Mark kind={rung.outcome === "air" ? "good" : "quiet"}>{rung.came}</Mark>
      ) : (
        <Quiet>{minutesSaid(rung.minutes)}</Quiet>
      )}
    </Row>
  );
}

function RungNow({ job, bleed, rung, isOpen }: Props & { rung: Rung }) {
  const { add } = useEntries(job, "bleed");
  const take = (outcome: string) => add("rung", { rung: rung.id, outcome });
  const method = rung.method;
  return (
    <>
      <p>{rung.does}</p>
      <Quiet>{`Settles: ${rung.settles}`}</Quiet>
      {rung.wait ? <WaitTimer job={job} running={bleed.wait} wait={rung.wait} isOpen={isOpen} /> : null}
      {isOpen ? (
        <Row $gap={1}>
          {method && method !== bleed.method.id ? (
            <Button onPress={() => add("method", { method })}>Bleed this way</Button>
          ) : null}
          <Button tone="act" onPress={() => take("air")}>
            Air came
          </Button>
          <Button onPress={() => take("nothing")}>Nothing came</Button>
          <Button onPress={() => take("not_here")}>Not possible here</Button>
        </Row>
      ) : null}
    </>
  );
}

function minutesSaid(minutes: number): string {
  return minutes >= 60 ? `${minutes / 60} h` : `${minutes} min`;
}
