import styled from "styled-components";
import type { ReactNode } from "react";
import { Sign } from "./Mark";
import type { MarkKind } from "./Mark";

const List = styled.ul`
  display: grid;
  gap: 0.35rem;
`;

const Line = styled.li<{ $kind: MarkKind }>`
  display: grid;
  grid-template-columns: 1.4rem minmax(0, 1fr);
  gap: 0.5rem;
  svg {
    margin-top: 0.25rem;
    color: ${(p) => (p.$kind === "quiet" ? p.theme.quiet : p.theme[p.$kind])};
  }
`;

interface SignedLine {
  kind: MarkKind;
  text: string;
  /** The text as it is drawn, where it is more than letters. */
  said?: ReactNode;
}

/** Sentences, each with the sign of what it means. */
export function SignedList({ lines }: { lines: SignedLine[] }) {
  return (
    <List>
      {lines.map(({ kind, text, said }) => (
        <Line key={text} $kind={kind}>
          <Sign kind={kind} />
          <span>{said ?? text}</span>
        </Line>
      ))}
    </List>
  );
}
