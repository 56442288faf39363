import styled from "styled-components";
import type { Ask, Knowledge } from "../server/api";
import { Quiet } from "../kit/layout";

interface Props {
  found: Ask["findings"];
  /** Where things were found, by ids of places. */
  at?: Ask["found_at"];
  places?: Ask["places"];
  findings: Knowledge["findings"];
  isOpen: boolean;
  onClear?: (finding: string, value: string) => void;
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
export function FoundSoFar({ found, at = {}, places = [], findings, isOpen, onClear }: Props) {
  const placed = (finding: string) =>
    (at[finding] ?? []).flatMap((id) =>
      places.filter((place) => place.id === id).map((place) => place.label),
    );
  const shown = findings.flatMap((finding) =>
    (found[finding.id] ?? []).map((value) => ({
      finding,
      value,
      words: [finding.values[value] ?? value, ...placed(finding.id)].join(", "),
    })),
  );
  if (shown.length === 0) return <Quiet>Nothing found yet. Unknown is not the same as absent.</Quiet>;
  return (
    <List aria-label="Found so far">
      {shown.map(({ finding, value, words }) => (
        <li key={`${finding.id}.${value}`}>
          <Found
            disabled={!isOpen}
            aria-label={`${finding.label}: ${words}${isOpen ? " — take back" : ""}`}
            onClick={() => onClear?.(finding.id, value)}
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
