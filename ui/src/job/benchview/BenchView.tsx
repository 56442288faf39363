import { useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import styled from "styled-components";
import { Button, Key } from "../../kit/Button";
import { speak } from "../../kit/sound";
import { PHONE } from "../../kit/tokens";
import { useHotkeys } from "../../kit/useHotkeys";
import { useInert } from "../../kit/useInert";
import { useKept } from "../../kit/useKept";
import type { Job, NowCard } from "../../server/api";
import { stageQuery } from "../../server/queries";
import { stageNames } from "../../words/stages";
import { RefusedEntries } from "../RefusedEntries";
import type { Shown } from "../StageProps";
import { useUndo } from "../useUndo";
import { CardActions } from "../now/CardActions";
import { CardWords } from "../now/CardWords";
import { useCards } from "../now/useCards";
import { useAwake } from "./useAwake";

const Screen = styled.main`
  position: fixed;
  inset: 0;
  z-index: 2;
  overflow: auto;
  display: grid;
  grid-template-rows: auto 1fr auto;
  gap: 1rem;
  padding: 1rem 2rem;
  background: ${(p) => p.theme.ground};
  --card-figure: 4.5em;
  --card-key: 2rem;
  --card-tall: 4.5rem;
  font-size: 2rem;
  line-height: 1.25;
  @media ${PHONE} {
    padding: 0.75rem;
    font-size: 1.4rem;
  }
  header {
    display: flex;
    flex-wrap: wrap;
    gap: 0.5rem 1.5rem;
    align-items: center;
    font-size: 1.1rem;
    color: ${(p) => p.theme.quiet};
  }
  header span:first-child {
    flex: 1 1 10rem;
  }
`;

const Card = styled.section`
  display: grid;
  gap: 0.6em;
  align-content: center;
  h1 {
    font-size: 1.7em;
    line-height: 1.08;
  }
`;

interface Props {
  job: Job;
  stage: Shown;
  onLeave: () => void;
}

/** The one thing to do now fills the screen: read at two metres, worked by Space, digits and U, or by a foot switch. */
export function BenchView({ job, stage, onLeave }: Props) {
  useAwake();
  useInert();
  const view = useQuery(stageQuery(job.id, stage)).data?.[stage];
  const cards = view?.now ?? [];
  const { card, place, type, answer, go, all, keys, isTyping } = useCards(job, stage, cards, {
    onHere: onLeave,
  });
  const undo = useUndo(job, stage, view?.recent ?? []);
  const [aloud, setAloud] = useKept("aloud", ["off", "on"]);
  const said = card ? aloudOf(card) : "";
  useEffect(() => {
    if (aloud === "on" && said) speak(said);
  }, [aloud, said]);
  useHotkeys({
    v: onLeave,
    u: undo?.take,
    a: () => setAloud(aloud === "on" ? "off" : "on"),
  });
  return (
    <Screen aria-label="Bench view">
      <header>
        <span>{`${stageNames[stage]} · ${job.machine.name}: ${job.circuit.name}`}</span>
        {cards.length > 1 ? (
          <span>
            <Key>←</Key> {`${place + 1} of ${cards.length} that can be done now`} <Key>→</Key>
          </span>
        ) : null}
        <Button hotkey="A" onPress={() => setAloud(aloud === "on" ? "off" : "on")}>
          {aloud === "on" ? "Stop reading aloud" : "Read aloud"}
        </Button>
        <Button hotkey="V" onPress={onLeave}>
          Whole page
        </Button>
      </header>
      <Card aria-live="polite">
        <RefusedEntries jobId={job.id} isSigned={job.signed} />
        {card ? <CardWords card={card} as="h1" /> : <Nothing job={job} />}
      </Card>
      {card ? (
        <CardActions
          key={`${card.id} ${view?.recent.length}`}
          card={card}
          keys={keys}
          isTyping={isTyping}
          onType={type}
          onAnswer={answer}
          onGo={go}
          onAll={all}
          undo={undo}
        />
      ) : null}
    </Screen>
  );
}

/** What is read aloud of a card: a question and the looks of a round as they stand. */
function aloudOf({ title, figure, kind, detail, all, caution }: NowCard) {
  const asked =
    kind === "question" ? [detail] : kind === "round" ? all?.looks.map((look) => look.label) : undefined;
  return [title, ...(asked ?? []), figure, caution].filter(Boolean).join(". ");
}

function Nothing({ job }: { job: Job }) {
  if (job.signed) return <h1>Signed off.</h1>;
  return <h1>{job.stop ?? (job.on_hold ? `On hold: ${job.on_hold.reason}` : "Nothing can be done now.")}</h1>;
}
