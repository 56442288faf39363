import { useState } from "react";
import { useNavigate } from "react-router";
import { useHotkeys } from "../../kit/useHotkeys";
import type { Job, NowAnswer, NowCard, NowEntry, NowRound } from "../../server/api";
import { useOutboxState } from "../../server/useOutbox";
import type { Shown } from "../StageProps";
import { useEntries } from "../useEntries";
import { ANSWER_KEYS, digits, timesOf } from "./digits";

interface Use {
  /** To what takes more than one answer. */
  onHere: (card: NowCard) => void;
  /** Of the answers, in their order. */
  keys?: readonly string[];
}

/** Name of the field of a card. */
export const CARD_FIELD = "now";

export interface Cards {
  /** The one that is looked at, and its place. */
  card: NowCard | undefined;
  place: number;
  /** What is typed into the card's field. */
  type: (text: string) => void;
  answer: (answer: NowAnswer) => void;
  go: () => void;
  all: (round: NowRound) => void;
  keys: readonly string[];
  /** The last one was typed: the next field takes the cursor. */
  isTyping: boolean;
  /** An answer is on its way to the server. */
  isOnTheWay: boolean;
}

/**
 * The card that is looked at and its keys: Space, the digits, and the arrows to the one before and after. The first is
 * shown again as soon as another one is first. One answer is on its way at a time, so that no card is answered twice; what is typed is never lost.
 */
export function useCards(
  job: Job,
  stage: Shown,
  cards: NowCard[],
  { onHere, keys = ANSWER_KEYS }: Use,
): Cards {
  const navigate = useNavigate();
  const { addAll } = useEntries(job, stage);
  const [looked, setLooked] = useState({ first: "", place: 0 });
  const first = cards[0]?.id ?? "";
  const place = looked.first === first ? Math.min(looked.place, Math.max(cards.length - 1, 0)) : 0;
  const card = cards[place];
  const look = (by: number) =>
    setLooked({ first, place: Math.min(Math.max(place + by, 0), cards.length - 1) });
  const isOnTheWay = useOutboxState().waiting.some((parcel) => parcel.jobId === job.id);
  const [isTyping, setTyping] = useState(false);
  const type = (text: string) => {
    if (!card?.field) return;
    const { name, entry, also = [] } = card.field;
    setTyping(true);
    addAll([entry, ...also].map(({ kind, data }) => ({ kind, data: { ...data, [name]: text } })));
  };
  const tap = (entries: NowEntry[]) => {
    if (isOnTheWay) return;
    setTyping(false);
    addAll(entries);
  };
  const answer = ({ entry, following }: NowAnswer) => tap(following ? [entry, following] : [entry]);
  const all = ({ looks }: NowRound) => tap(looks.map((look) => look.entry));
  const go = () => {
    if (card?.kind === "go" && card.stage) void navigate(`/jobs/${job.id}/${card.stage}`, { replace: true });
    else if (card?.kind === "here") onHere(card);
    else if (card?.act) answer(card.act);
    else if (card?.all) all(card.all);
  };
  const times = card && timesOf(card);
  useHotkeys(
    card
      ? {
          ...digits(card, keys, (given) => isAskedElsewhere() || answer(given)),
          ...(times ? { 1: () => isAskedElsewhere() || all(times) } : {}),
          " ": spaceDoes(card, go),
          arrowright: () => look(1),
          arrowleft: () => look(-1),
        }
      : {},
  );
  return { card, place, type, answer, go, all, keys, isTyping, isOnTheWay };
}

/** Another question stands on the page, and the digits are its. */
const isAskedElsewhere = () => document.querySelector("[data-asks]") !== null;

/** An act, the way on, or the cursor in the field; a question is answered by its digits. */
function spaceDoes(card: NowCard, go: () => void): (() => void) | undefined {
  if (card.field) return () => document.querySelector<HTMLInputElement>(`[name="${CARD_FIELD}"]`)?.focus();
  return card.answers ? undefined : go;
}
