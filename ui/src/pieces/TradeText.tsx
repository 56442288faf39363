import { useQuery } from "@tanstack/react-query";
import { Button, Dialog, DialogTrigger, Popover } from "react-aria-components";
import styled from "styled-components";
import { SectionDrawing } from "../drawings/SectionDrawing";
import { knowledgeQuery } from "../server/queries";
import { inPieces, type TradeWord } from "../words/tradeWords";

/** Stands in the line as its letters do. */
const Word = styled(Button)`
  font: inherit;
  color: inherit;
  padding: 0;
  border: 0;
  background: none;
  text-align: inherit;
  text-decoration: underline dotted 2px;
  text-underline-offset: 0.2em;
  cursor: help;
  border-radius: 0.2rem;
`;

const Sheet = styled(Popover)`
  max-width: min(26rem, calc(100vw - 2rem));
  padding: 1rem 1.2rem;
  border-radius: 0.6rem;
  border: 2px solid ${(p) => p.theme.line};
  background: ${(p) => p.theme.panel};
  color: ${(p) => p.theme.ink};
  box-shadow: 0 0.5rem 2rem rgb(4 16 18 / 35%);
`;

const Said = styled.div`
  display: grid;
  gap: 0.4rem;
  svg {
    max-height: 11rem;
  }
`;

/** A sentence whose words of the trade are explained by a tap; keys reach them by `?`. */
export function TradeText({ children }: { children: string }) {
  const { data } = useQuery(knowledgeQuery);
  return inPieces(children, data?.words ?? []).map(({ text, word }, place) =>
    word ? (
      <DialogTrigger key={place}>
        <Word excludeFromTabOrder data-word={word.id}>
          {text}
        </Word>
        <Sheet placement="bottom start">
          <Dialog aria-label={word.label} style={{ outline: "none" }}>
            <WordSaid word={word} />
          </Dialog>
        </Sheet>
      </DialogTrigger>
    ) : (
      <span key={place}>{text}</span>
    ),
  );
}

/** The words that are marked on the page now, each once. */
export function useMarkedWords(isOpen: boolean): TradeWord[] {
  const { data } = useQuery(knowledgeQuery);
  if (!isOpen) return [];
  const marked = new Set(
    [...document.querySelectorAll<HTMLElement>("[data-word]")].map((each) => each.dataset["word"]),
  );
  return (data?.words ?? []).filter((word) => marked.has(word.id));
}

/** What a word means, drawn where it is a part of a cylinder. */
function WordSaid({ word }: { word: TradeWord }) {
  return (
    <Said>
      <strong>{word.label}</strong>
      <p>{word.says}</p>
      {word.section ? <SectionDrawing section={word.section} /> : null}
    </Said>
  );
}
