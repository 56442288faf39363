import styled from "styled-components";
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

/** Sentences, each with the sign of what it means. */
export function SignedList({ lines }: { lines: { kind: MarkKind; text: string }[] }) {
  return (
    <List>
      {lines.map(({ kind, text }) => (
        <Line key={text} $kind={kind}>
          <Sign kind={kind} />
          <span>{text}</span>
        </Line>
      ))}
    </List>
  );
}
