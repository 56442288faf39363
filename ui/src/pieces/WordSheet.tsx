import type { RefObject } from "react";
import { Dialog, Popover } from "react-aria-components";
import styled from "styled-components";
import { SectionDrawing } from "../drawings/SectionDrawing";
import type { TradeWord } from "../words/tradeWords";

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

interface Props {
  word: TradeWord;
  /** The word that was tapped. */
  trigger: RefObject<HTMLElement | null>;
  onClose: () => void;
}

/** What a word means, next to the word until it is closed; drawn where it is a part of a cylinder. */
export function WordSheet({ word, trigger, onClose }: Props) {
  return (
    <Sheet
      triggerRef={trigger}
      isOpen
      placement="bottom start"
      onOpenChange={(isOpen) => (isOpen ? undefined : onClose())}
    >
      <Dialog aria-label={word.label} style={{ outline: "none" }}>
        <Said>
          <strong>{word.label}</strong>
          <p>{word.says}</p>
          {word.section ? <SectionDrawing section={word.section} /> : null}
        </Said>
      </Dialog>
    </Sheet>
  );
}
