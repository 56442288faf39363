import styled from "styled-components";
import type { Bleed } from "../../server/api";
import { Choice } from "../../kit/Choice";
import { Key } from "../../kit/Button";
import { Quiet } from "../../kit/layout";

interface Props {
  cycle: Bleed["cycle"];
  /** Counted in millilitres: every step has its key. */
  isByMl: boolean;
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

const PHASES = { before: "At this point, first", cycle: "Again and again", after: "At this point, last" };

/** The steps of the method at this point: a step out of its turn is caught, and the cycle does not count. */
export function Beats({ cycle, isByMl, isByBeat, onMode, onBeat }: Props) {
  if (cycle.beats.length === 0) return null;
  const isOwn = isByBeat || isByMl || cycle.phase !== "cycle";
  return (
    <div style={{ display: "grid", gap: "0.6rem" }}>
      {isByMl || cycle.phase !== "cycle" ? null : (
        <Choice
          label="Counted"
          isLabelHidden
          options={MODES}
          value={isByBeat ? "beats" : "cycle"}
          onChange={(mode) => onMode(mode === "beats" ? "beats" : "cycle")}
        />
      )}
      {cycle.led && cycle.phase ? <Quiet>{PHASES[cycle.phase]}</Quiet> : null}
      <List aria-label="One cycle">
        {cycle.beats.map((beat, at) => (
          <li key={beat.id} style={{ flex: "1 1 8rem", display: "flex" }}>
            <Beat
              type="button"
              disabled={!isOwn || !onBeat || beat.records !== undefined}
              aria-current={isOwn && at === cycle.done ? "step" : undefined}
              data-done={isOwn && at < cycle.done ? "" : undefined}
              onClick={() => onBeat?.(beat.id)}
            >
              {isOwn ? <Key aria-hidden>{at + 1}</Key> : null} <strong>{beat.label}</strong>
              <small>
                {[beat.how, beat.times ? `${beat.times} times` : undefined].filter(Boolean).join("; ")}
              </small>
              {beat.watch ? <small>{`Watch: ${beat.watch}`}</small> : null}
              {beat.ends ? <small>{`Ends when: ${beat.ends}`}</small> : null}
              {beat.helper ? <small>The helper does this.</small> : null}
            </Beat>
          </li>
        ))}
        {cycle.open && cycle.runs_open && !cycle.refills_open && cycle.phase === "cycle" && onBeat ? (
          <li style={{ flex: "1 1 8rem", display: "flex" }}>
            <Beat type="button" onClick={() => onBeat("shut_refill")}>
              <strong>Close the nipple</strong>
              <small>before a refill or another method</small>
            </Beat>
          </li>
        ) : null}
      </List>
    </div>
  );
}
