import styled from "styled-components";
import { PHONE } from "./tokens";

export type MarkKind = "good" | "warn" | "stop" | "quiet";

const SHAPES: Record<MarkKind, string> = {
  good: "M3 8.5 6.5 12 13 4.5",
  warn: "M8 2.5 14.5 13.5H1.5ZM8 6.5v3.4M8 11.4v.6",
  stop: "M5 1.5h6L14.5 5v6L11 14.5H5L1.5 11V5ZM5.5 5.5l5 5M10.5 5.5l-5 5",
  quiet: "M8 3.5a4.5 4.5 0 1 0 .01 0Z",
};

const Word = styled.span<{ $kind: MarkKind }>`
  display: inline-flex;
  align-items: center;
  gap: 0.45rem;
  padding: 0.2rem 0.7rem 0.2rem 0.55rem;
  border-radius: 2rem;
  font-weight: 650;
  white-space: nowrap;
  @media ${PHONE} {
    white-space: normal;
  }
  color: ${(p) => (p.$kind === "quiet" ? p.theme.quiet : p.theme[p.$kind])};
  background: ${(p) =>
    ({ good: p.theme.goodSoft, warn: p.theme.warnSoft, stop: p.theme.stopSoft, quiet: p.theme.sunk })[
      p.$kind
    ]};
`;

/** A state said three ways: shape, word and colour. */
export function Mark({ kind, children }: { kind: MarkKind; children: string }) {
  return (
    <Word $kind={kind}>
      <Sign kind={kind} />
      {children}
    </Word>
  );
}

export function Sign({ kind, size = 16 }: { kind: MarkKind; size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 16 16" aria-hidden focusable="false">
      <path
        d={SHAPES[kind]}
        fill="none"
        stroke="currentColor"
        strokeWidth="1.9"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </svg>
  );
}
