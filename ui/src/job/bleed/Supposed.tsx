import styled from "styled-components";
import { ToggleButton } from "react-aria-components";
import type { BleedSupposed, BleedVerdicts } from "../../server/api";

interface Props {
  supposed: BleedSupposed;
  offers: BleedVerdicts["offers"];
  onChange: (supposed: BleedSupposed) => void;
}

const Chips = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
`;

const Chip = styled(ToggleButton)`
  min-height: 3rem;
  padding: 0.3rem 0.95rem;
  border: 2px solid ${(p) => p.theme.line};
  border-radius: 0.5rem;
  background: ${(p) => p.theme.panel};
  color: ${(p) => p.theme.ink};
  cursor: pointer;
  &[data-selected] {
    border-color: ${(p) => p.theme.act};
    background: ${(p) => p.theme.actSoft};
    font-weight: 650;
    box-shadow: inset 0 -4px 0 ${(p) => p.theme.act};
  }
`;

/** What if: each change redraws the line and the verdicts; several at once are what they are together. */
export function Supposed({ supposed, offers, onChange }: Props) {
  return (
    <div style={{ display: "grid", gap: "0.5rem" }}>
      <h3>What if</h3>
      <Chips role="group" aria-label="What if">
        {offers.map((change) => {
          const is = isSupposed(supposed, change.with);
          return (
            <Chip
              key={change.id}
              isSelected={is}
              onChange={() => onChange(is ? without(supposed, change.with) : { ...supposed, ...change.with })}
            >
              {change.label}
            </Chip>
          );
        })}
      </Chips>
    </div>
  );
}

function isSupposed(supposed: BleedSupposed, change: BleedSupposed): boolean {
  return Object.entries(change).every(([name, value]) => supposed[name as keyof BleedSupposed] === value);
}

function without(supposed: BleedSupposed, change: BleedSupposed): BleedSupposed {
  return Object.fromEntries(Object.entries(supposed).filter(([name]) => !(name in change)));
}
