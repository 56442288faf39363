import styled from "styled-components";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { PHONE } from "../../kit/tokens";
import type { NowAnswer, NowCard, NowRound } from "../../server/api";
import { stageNames } from "../../words/stages";
import { timesOf } from "./digits";
import { CARD_FIELD } from "./useCards";

const Actions = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(20rem, 100%), 1fr));
  gap: 0.75rem;
  align-items: end;
  button {
    min-height: var(--card-tall);
    font-size: var(--card-key);
    line-height: 1.1;
    @media ${PHONE} {
      min-height: 3.4rem;
      font-size: 1.25rem;
    }
  }
  input {
    font-size: calc(1.2 * var(--card-key));
    min-height: var(--card-tall);
  }
`;

interface Props {
  card: NowCard;
  keys: readonly string[];
  /** The field takes the cursor. */
  isTyping?: boolean;
  onType: (text: string) => void;
  onAnswer: (answer: NowAnswer) => void;
  onGo: () => void;
  onAll: (round: NowRound) => void;
  undo?: { word: string; take: () => void } | undefined;
}

/** What answers a card: Space, the digits, a figure that is typed, and U for the last one back. */
export function CardActions({ card, keys, isTyping = false, onType, onAnswer, onGo, onAll, undo }: Props) {
  const times = timesOf(card);
  const go =
    card.kind === "go"
      ? `Go to ${stageNames[card.stage as keyof typeof stageNames] ?? "the next stage"}`
      : card.kind === "here"
        ? "Show it"
        : (card.act ?? card.all)?.label;
  return (
    <Actions>
      {card.field ? (
        <EntryField
          label={card.field.label}
          isLabelHidden
          name={CARD_FIELD}
          hasCursor={isTyping}
          isLeftByEnter
          value=""
          {...(card.field.unit ? { unit: card.field.unit } : {})}
          inputMode={card.field.words ? "text" : "decimal"}
          onFinish={onType}
        />
      ) : null}
      {go ? (
        <Button tone="act" hotkey="Space" onPress={onGo}>
          {go}
        </Button>
      ) : null}
      {times ? (
        <Button hotkey="1" onPress={() => onAll(times)}>
          {times.label}
        </Button>
      ) : null}
      {card.answers?.map((answer, place) => (
        <Button
          key={answer.label}
          {...(keys[place] ? { hotkey: keys[place].toUpperCase() } : {})}
          onPress={() => onAnswer(answer)}
        >
          {answer.label}
        </Button>
      ))}
      {undo ? (
        <Button hotkey="U" onPress={undo.take}>
          {`Undo: ${undo.word}`}
        </Button>
      ) : null}
    </Actions>
  );
}
