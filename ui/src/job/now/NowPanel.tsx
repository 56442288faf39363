import styled from "styled-components";
import { Key } from "../../kit/Button";
import { Panel, Quiet } from "../../kit/layout";
import { PHONE } from "../../kit/tokens";
import type { Job, NowCard } from "../../server/api";
import type { Shown } from "../StageProps";
import { AskedPhoto } from "../photos/AskedPhoto";
import { CardActions } from "./CardActions";
import { CardWords } from "./CardWords";
import { ANSWER_KEYS } from "./digits";
import { useCards } from "./useCards";

const Frame = styled(Panel)`
  --card-figure: 3.4rem;
  --card-key: 1.15rem;
  --card-tall: 3.4rem;
  /* what is tapped stays under the finger when the next card comes */
  min-height: 15rem;
  grid-template-rows: auto 1fr auto;
  border-left: 0.4rem solid ${(p) => p.theme.act};
  h2 {
    font-size: 2.1rem;
    line-height: 1.1;
    letter-spacing: -0.02em;
  }
  @media ${PHONE} {
    min-height: 13rem;
    h2 {
      font-size: 1.6rem;
    }
  }
`;

const Words = styled.div`
  display: grid;
  gap: 0.6rem;
  align-content: start;
`;

/** Letters are the page's own keys. */
const DIGITS = 10;

interface Props {
  job: Job;
  stage: Shown;
  cards: NowCard[];
  recent: { id: string }[];
}

/** The one thing to do now in this stage: the first card of every page. */
export function NowPanel({ job, stage, cards, recent }: Props) {
  const now = useCards(job, stage, cards, { onHere: toItsRoom, keys: ANSWER_KEYS.slice(0, DIGITS) });
  const { card } = now;
  if (!card) return null;
  return (
    <Frame aria-label="Now">
      <Quiet>
        {now.isOnTheWay ? (
          "Sending…"
        ) : cards.length > 1 ? (
          <>
            Now, or one of {cards.length} that can be done: <Key>←</Key> <Key>→</Key>
          </>
        ) : (
          "Now"
        )}
      </Quiet>
      <Words aria-live="polite">
        <CardWords card={card} as="h2" isExplained />
        <AskedPhoto job={job} stage={stage} what={card.photo} />
      </Words>
      <CardActions
        key={`${card.id} ${recent[recent.length - 1]?.id}`}
        card={card}
        keys={now.keys}
        isTyping={now.isTyping}
        onType={now.type}
        onAnswer={now.answer}
        onGo={now.go}
        onAll={now.all}
      />
    </Frame>
  );
}

/** To the part that the card is about, or what is open for it already. */
function toItsRoom({ room }: NowCard) {
  const own = room && document.querySelector<HTMLElement>(`details[data-room="${room}"] > summary`);
  (own || document.querySelector<HTMLElement>("details[open] > summary"))?.focus();
}
