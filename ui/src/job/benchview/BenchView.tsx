import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useNavigate } from "react-router";
import styled from "styled-components";
import { Button, Key } from "../../kit/Button";
import { speak } from "../../kit/sound";
import { PHONE } from "../../kit/tokens";
import { useHotkeys } from "../../kit/useHotkeys";
import { useKept } from "../../kit/useKept";
import type { Job, NowCard, NowEntry } from "../../server/api";
import { stageQuery } from "../../server/queries";
import { useOutboxState } from "../../server/useOutbox";
import { stageNames } from "../../words/stages";
import { RefusedEntries } from "../RefusedEntries";
import type { Shown } from "../StageProps";
import { useEntries } from "../useEntries";
import { useUndo } from "../useUndo";
import { CardActions } from "./CardActions";
import { digits } from "./digits";
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

const Figure = styled.p`
  font:
    700 4.5em/1 "Atkinson Hyperlegible Mono Variable",
    monospace;
  letter-spacing: -0.04em;
  word-spacing: -0.35em;
`;

const Caution = styled.p`
  padding: 0.3em 0.6em;
  border-left: 0.5rem solid ${(p) => p.theme.warn};
  background: ${(p) => p.theme.warnSoft};
  color: ${(p) => p.theme.warn};
  font-weight: 650;
`;

interface Props {
  job: Job;
  stage: Shown;
  onLeave: () => void;
}

/** The one thing to do now fills the screen: read at two metres, worked by Space, digits and U, or by a foot switch. */
export function BenchView({ job, stage, onLeave }: Props) {
  useAwake();
  const navigate = useNavigate();
  const view = useQuery(stageQuery(job.id, stage)).data?.[stage];
  const cards = view?.now ?? [];
  const [looked, setLooked] = useState({ first: "", place: 0 });
  const first = cards[0]?.id ?? "";
  const place = looked.first === first ? Math.min(looked.place, cards.length - 1) : 0;
  const card = cards[place];
  const look = (by: number) =>
    setLooked({ first, place: Math.min(Math.max(place + by, 0), cards.length - 1) });
  const isOnTheWay = useOutboxState().waiting.some((parcel) => parcel.jobId === job.id);
  const { add } = useEntries(job, stage);
  const undo = useUndo(job, stage, view?.recent ?? []);
  const send = (entry: NowEntry, typed: Record<string, unknown> = {}) => {
    if (!isOnTheWay) add(entry.kind, { ...entry.data, ...typed });
  };
  const go = () => {
    if (card?.kind === "go" && card.stage) void navigate(`/jobs/${job.id}/${card.stage}`, { replace: true });
    else if (card?.kind === "here") onLeave();
    else if (card?.act) send(card.act.entry);
  };
  const [aloud, setAloud] = useKept("aloud", ["off", "on"]);
  const said = card ? [card.title, card.figure, card.caution].filter(Boolean).join(". ") : "";
  useEffect(() => {
    if (aloud === "on" && said) speak(said);
  }, [aloud, said]);
  useHotkeys({
    v: onLeave,
    " ": go,
    u: undo?.take,
    a: () => setAloud(aloud === "on" ? "off" : "on"),
    arrowright: () => look(1),
    arrowleft: () => look(-1),
    ...digits(card, send),
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
        {card ? <CardWords card={card} /> : <Nothing job={job} />}
      </Card>
      {card ? (
        <CardActions
          key={`${card.id} ${view?.recent.length}`}
          card={card}
          onSend={send}
          onGo={go}
          undo={undo}
        />
      ) : null}
    </Screen>
  );
}

function CardWords({ card }: { card: NowCard }) {
  return (
    <>
      <h1>{card.title}</h1>
      {card.figure ? <Figure>{card.figure}</Figure> : null}
      {card.detail ? <p>{card.detail}</p> : null}
      {card.caution ? <Caution>{card.caution}</Caution> : null}
      {card.until ? (
        <p>{`It counts from ${new Date(card.until).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" })} on.`}</p>
      ) : null}
    </>
  );
}

function Nothing({ job }: { job: Job }) {
  if (job.signed) return <h1>Signed off.</h1>;
  return <h1>{job.stop ?? (job.on_hold ? `On hold: ${job.on_hold.reason}` : "Nothing can be done now.")}</h1>;
}
