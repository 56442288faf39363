import { useState } from "react";
import type { ReactNode } from "react";
import styled from "styled-components";
import { Panel } from "./layout";
import { space } from "./tokens";

const Body = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: ${space(2)};
  padding-top: ${space(1)};
`;

const Folding = styled(Panel)`
  display: block;
  padding: 0 ${space(3)};
  &[open] {
    padding-bottom: ${space(3)};
  }
  > summary {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 0.2rem ${space(1.5)};
    min-height: 3rem;
    padding: 0.2rem 0;
    font-weight: 400;
    list-style: none;
  }
  > summary::before {
    content: "▸";
    width: 0.8rem;
    color: ${(p) => p.theme.quiet};
  }
  &[open] > summary::before {
    content: "▾";
  }
  > summary::-webkit-details-marker {
    display: none;
  }
`;

interface Props {
  /** By which a card leads to it. */
  id?: string | undefined;
  title: string;
  /** What there is to know while it is folded. */
  said?: ReactNode;
  /** Settled, or wanted only now and then: folded until it is opened. */
  isFolded: boolean;
  onToggle?: (isOpen: boolean) => void;
  children: ReactNode;
}

/** A panel that folds to one line once there is nothing left to do in it; what is in it is drawn when it is opened. */
export function FoldingPanel({ id, title, said, isFolded, onToggle, children }: Props) {
  // and stays from then on: nothing typed in it is lost when it is folded
  const [wasOpen, setWasOpen] = useState(!isFolded);
  if (!isFolded && !wasOpen) setWasOpen(true);
  return (
    <Folding
      as="details"
      data-room={id}
      open={!isFolded}
      onToggle={(event) => {
        if (event.currentTarget.open) setWasOpen(true);
        onToggle?.(event.currentTarget.open);
      }}
    >
      <summary>
        <h2>{title}</h2>
        {said}
      </summary>
      {wasOpen ? <Body data-part>{children}</Body> : null}
    </Folding>
  );
}
