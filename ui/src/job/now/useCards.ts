import { useState } from "react";
import { useNavigate } from "react-router";
import { useHotkeys } from "../../kit/useHotkeys";
import type { Job, NowAnswer, NowCard, NowEntry } from "../../server/api";
import { useOutboxState } from "../../server/useOutbox";
import type { Shown } from "../StageProps";
import { rememberTogether } from "../sentTogether";
import { useEntries } from "../useEntries";
import { ANSWER_KEYS, digits } from "./digits";

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
  send: (entry: NowEntry, typed?: Record<string, unknown>) => void;
  answer: (answer: NowAnswer) => void;
  go: () => void;
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
  const { add } = useEntries(job, stage);
  const [looked, setLooked] = useState({ first: "", place: 0 });
  const first = cards[0]?.id ?? "";
  const place = looked.first === first ? Math.min(looked.place, Math.max(cards.length - 1, 0)) : 0;
  const card = cards[place];
  const look = (by: number) =>
    setLooked({ first, place: Math.min(Math.max(place + by, 0), cards.length - 1) });
  const isOnTheWay = useOutboxState().waiting.some((parcel) => parcel.jobId === job.id);
  const [isTyping, setTyping] = useState(false);
  const send = (entry: NowEntry, typed?: Record<string, unknown>) => {
    if (isOnTheWay && !typed) return;
    setTyping(typed !== undefined);
    add(entry.kind, { ...entry.data, ...typed });
  };
  const sendAll = (entries: NowEntry[]) => {
    if (isOnTheWay) return;
    setTyping(false);
    rememberTogether(entries.map((entry) => add(entry.kind, entry.data)));
  };
  const answer = ({ entry, following }: NowAnswer) => sendAll(following ? [entry, following] : [entry]);
  const go = () => {
    if (card?.kind === "go" && card.stage) void navigate(`/jobs/${job.id}/${card.stage}`, { replace: true });
    else if (card?.kind === "here") onHere(card);
    else if (card?.act) answer(card.act);
    else if (card?.all) sendAll(card.all.looks.map((look) => look.entry));
  };
  useHotkeys(
    card
      ? {
          ...digits(card, keys, (given) => isAskedElsewhere() || answer(given)),
          " ": spaceDoes(card, go),
          arrowright: () => look(1),
          arrowleft: () => look(-1),
        }
      : {},
  );
  return { card, place, send, answer, go, keys, isTyping, isOnTheWay };
}

/** Another question stands on the page, and the digits are its. */
const isAskedElsewhere = () => document.querySelector("[data-asks]") !== null;

/** An act, the way on, or the cursor in the field; a question is answered by its digits. */
function spaceDoes(card: NowCard, go: () => void): (() => void) | undefined {
  if (card.field) return () => document.querySelector<HTMLInputElement>(`[name="${CARD_FIELD}"]`)?.focus();
  return card.answers ? undefined : go;
}
