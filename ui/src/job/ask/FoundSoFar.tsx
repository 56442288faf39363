import styled from "styled-components";
import type { Ask, Knowledge } from "../../server/api";
import { Quiet } from "../../kit/layout";

interface Props {
  ask: Ask;
  findings: Knowledge["findings"];
  isOpen: boolean;
  onClear: (finding: string, value: string) => void;
}

const List = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
`;

const Found = styled.button`
  display: inline-flex;
  align-items: center;
  gap: 0.6rem;
  min-height: 3rem;
  padding: 0.2rem 0.9rem;
  border: 2px solid ${(p) => p.theme.act};
  border-radius: 0.5rem;
  background: ${(p) => p.theme.actSoft};
  cursor: pointer;
  &:disabled {
    cursor: default;
  }
`;

/** What was found; a tap takes it back. */
export function FoundSoFar({ ask, findings, isOpen, onClear }: Props) {
  const found = findings.flatMap((finding) =>
    (ask.findings[finding.id] ?? []).map((value) => ({
      finding,
      value,
      words: finding.values[value] ?? value,
    })),
  );
  if (found.length === 0) return <Quiet>Nothing found yet. Unknown is not the same as absent.</Quiet>;
  return (
    <List aria-label="Found so far">
      {found.map(({ finding, value, words }) => (
        <li key={`${finding.id}.${value}`}>
          <Found
            disabled={!isOpen}
            aria-label={`${finding.label}: ${words} — take back`}
            onClick={() => onClear(finding.id, value)}
          >
            <span>
              {finding.label}: <b>{words}</b>
            </span>
            {isOpen ? <span aria-hidden>×</span> : null}
          </Found>
        </li>
      ))}
    </List>
  );
}
