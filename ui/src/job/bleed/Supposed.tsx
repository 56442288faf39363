import styled from "styled-components";
import { ToggleButton } from "react-aria-components";
import type { BleedSupposed, BleedVerdicts } from "../../server/api";

interface Props {
  supposed: BleedSupposed;
  /** Of the fluid, as it is judged now. */
  celsius: number;
  ways: BleedVerdicts["ways"];
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

interface Change {
  label: string;
  with: BleedSupposed;
}

const CHANGES: Change[] = [
  { label: "Bar turned, master 80 mm higher", with: { raised: 80 } },
  { label: "Machine tilted nose up", with: { tilted: 300 } },
  { label: "High loop tied down", with: { loop_down: true } },
  { label: "Feed hose lifted straight", with: { feed_up: true } },
  { label: "Caliper hung, nipple up", with: { turned: true } },
  { label: "Nipple opened 1/2 turn", with: { opening: "half" } },
  { label: "Clear hose above the master", with: { hose_raised: true } },
  { label: "Fluid at 5 °C", with: { celsius: 5 } },
  { label: "Fluid at 20 °C", with: { celsius: 20 } },
];

/** What if: each change redraws the line and the verdicts; several at once are what they are together. */
export function Supposed({ supposed, celsius, ways, onChange }: Props) {
  const offered = CHANGES.filter((change) => isOffered(change, supposed, celsius, ways));
  return (
    <div style={{ display: "grid", gap: "0.5rem" }}>
      <h3>What if</h3>
      <Chips role="group" aria-label="What if">
        {offered.map((change) => {
          const is = isSupposed(supposed, change.with);
          return (
            <Chip
              key={change.label}
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

/** What can change something on this line, or was changed already. */
function isOffered(change: Change, supposed: BleedSupposed, celsius: number, ways: Props["ways"]): boolean {
  if (isSupposed(supposed, change.with)) return true;
  const has = (kind: string) => ways.some((way) => way.points.some((point) => point.kind === kind));
  if (change.with.loop_down) return has("high_spot");
  if (change.with.feed_up) return has("low");
  if (change.with.turned) return ways.some((way) => way.pocket_ml > 0);
  return change.with.celsius !== celsius;
}

function isSupposed(supposed: BleedSupposed, change: BleedSupposed): boolean {
  return Object.entries(change).every(([name, value]) => supposed[name as keyof BleedSupposed] === value);
}

function without(supposed: BleedSupposed, change: BleedSupposed): BleedSupposed {
  return Object.fromEntries(Object.entries(supposed).filter(([name]) => !(name in change)));
}
