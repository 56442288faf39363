import { lazy, Suspense, useRef, useState } from "react";
import { useQuery } from "@tanstack/react-query";
import styled from "styled-components";
import { knowledgeQuery } from "../server/queries";
import { inPieces, type TradeWord } from "../words/tradeWords";

const WordSheet = lazy(async () => ({ default: (await import("./WordSheet")).WordSheet }));

/** Stands in the line as its letters do. */
const Word = styled.button`
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

/** A sentence whose words of the trade are explained by a tap; keys reach them by `?`. */
export function TradeText({ children }: { children: string }) {
  const { data } = useQuery(knowledgeQuery);
  return inPieces(children, data?.words ?? []).map(({ text, word }, place) =>
    word ? <Explained key={place} word={word} text={text} /> : <span key={place}>{text}</span>,
  );
}

function Explained({ word, text }: { word: TradeWord; text: string }) {
  const trigger = useRef<HTMLButtonElement>(null);
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Word
        ref={trigger}
        type="button"
        tabIndex={-1}
        data-word={word.id}
        aria-haspopup="dialog"
        aria-expanded={isOpen}
        onClick={() => setOpen(true)}
      >
        {text}
      </Word>
      {isOpen ? (
        <Suspense>
          <WordSheet word={word} trigger={trigger} onClose={() => setOpen(false)} />
        </Suspense>
      ) : null}
    </>
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
