import styled from "styled-components";
import { timeSaid } from "../../kit/format";
import { TradeText } from "../../pieces/TradeText";
import type { ReactNode } from "react";
import type { NowCard, NowRound } from "../../server/api";
import { StepClock } from "../StepClock";

const Figure = styled.p`
  font:
    700 var(--card-figure) / 1 "Atkinson Hyperlegible Mono Variable",
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

const Lines = styled.ul`
  display: grid;
  gap: 0.3em;
  li {
    border-left: 0.25rem solid ${(p) => p.theme.line};
    padding-left: 0.6em;
    line-height: 1.15;
  }
  small {
    font-size: 0.8em;
    color: ${(p) => p.theme.quiet};
  }
`;

interface Props {
  card: NowCard;
  as: "h1" | "h2";
  /** Its words of the trade are explained by a tap. */
  isExplained?: boolean;
}

/** What a card says: what to do, its figure, how, the caution, and from when it counts. */
export function CardWords({ card, as: Title, isExplained = false }: Props) {
  const said = (text: string) => (isExplained ? <TradeText>{text}</TradeText> : text);
  return (
    <>
      <Title>{said(card.title)}</Title>
      {card.figure ? <Figure>{card.figure}</Figure> : null}
      {card.clock_s ? (
        <StepClock key={card.id} seconds={card.clock_s} label={card.title} size="var(--card-figure)" />
      ) : null}
      {card.kind === "round" && card.all ? <Looks looks={card.all.looks} said={said} /> : null}
      {card.detail ? <p>{said(card.detail)}</p> : null}
      {card.caution ? <Caution>{said(card.caution)}</Caution> : null}
      {card.until ? <p>{`It counts from ${timeSaid(new Date(card.until))} on.`}</p> : null}
    </>
  );
}

/** The looks at one place, each with how. */
function Looks({ looks, said }: { looks: NowRound["looks"]; said: (text: string) => ReactNode }) {
  return (
    <Lines>
      {looks.map(({ label, how }) => (
        <li key={label}>
          <strong>{label}</strong> {how ? <small>{said(how)}</small> : null}
        </li>
      ))}
    </Lines>
  );
}
