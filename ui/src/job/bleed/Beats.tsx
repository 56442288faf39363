import styled from "styled-components";
import type { Bleed } from "../../server/api";
import { Choice } from "../../kit/Choice";
import { Key } from "../../kit/Button";

interface Props {
  cycle: Bleed["cycle"];
  /** Each beat is a key of its own turn; otherwise the whole cycle is one key. */
  isByBeat: boolean;
  onMode: (mode: "cycle" | "beats") => void;
  onBeat: ((beat: string) => void) | undefined;
}

const List = styled.ol`
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
`;

const Beat = styled.button`
  min-height: 3.4rem;
  flex: 1 1 8rem;
  padding: 0.3rem 0.8rem;
  border: 2px solid ${(p) => p.theme.line};
  border-radius: 0.5rem;
  background: ${(p) => p.theme.panel};
  color: ${(p) => p.theme.ink};
  text-align: left;
  cursor: pointer;
  &[aria-current="step"] {
    border-color: ${(p) => p.theme.act};
    background: ${(p) => p.theme.actSoft};
    box-shadow: inset 0 -5px 0 ${(p) => p.theme.act};
  }
  &[data-done] {
    color: ${(p) => p.theme.quiet};
    background: ${(p) => p.theme.sunk};
  }
  &:disabled {
    cursor: default;
  }
  small {
    display: block;
    color: ${(p) => p.theme.quiet};
    font-size: 0.9rem;
    line-height: 1.2;
  }
`;

const MODES = [
  { id: "cycle", label: "One key a cycle" },
  { id: "beats", label: "One key a step" },
];

/** One cycle, step by step: a step out of its turn is caught, and the cycle does not count. */
export function Beats({ cycle, isByBeat, onMode, onBeat }: Props) {
  if (cycle.beats.length === 0) return null;
  return (
    <div style={{ display: "grid", gap: "0.6rem" }}>
      <Choice
        label="Counted"
        isLabelHidden
        options={MODES}
        value={isByBeat ? "beats" : "cycle"}
        onChange={(mode) => onMode(mode === "beats" ? "beats" : "cycle")}
      />
      <List aria-label="One cycle">
        {cycle.beats.map((beat, at) => (
          <li key={beat.id} style={{ flex: "1 1 8rem", display: "flex" }}>
            <Beat
              type="button"
              disabled={!isByBeat || !onBeat}
              aria-current={isByBeat && at === cycle.done ? "step" : undefined}
              data-done={isByBeat && at < cycle.done ? "" : undefined}
              onClick={() => onBeat?.(beat.id)}
            >
              {isByBeat ? <Key aria-hidden>{at + 1}</Key> : null} <strong>{beat.label}</strong>
              <small>{beat.how}</small>
            </Beat>
          </li>
        ))}
      </List>
    </div>
  );
}
