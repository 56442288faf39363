import { ToggleButton } from "react-aria-components";
import styled from "styled-components";
import { Button } from "../../kit/Button";
import { DayField } from "../../kit/DayField";
import { EntryField } from "../../kit/EntryField";
import { PersonField } from "../../pieces/PersonField";
import { daySaid } from "../../kit/format";
import { Row } from "../../kit/layout";
import { Mark, Sign } from "../../kit/Mark";
import type { Close } from "../../server/api";
import { LeakWatch } from "./LeakWatch";

export type Gate = Close["gates"][number];

export interface GateActions {
  isOpen: boolean;
  onConfirm: (gate: string, met: boolean, name?: string) => void;
  onLeak: (value: "dry" | "wet", place?: string) => void;
  onBatch: (batch: string) => void;
  onRecheck: (on: string) => void;
}

interface Props extends GateActions {
  gate: Gate;
  close: Close;
}

const Item = styled.li<{ $met: boolean; $quiet: boolean }>`
  display: grid;
  grid-template-columns: 2rem minmax(0, 1fr) auto;
  gap: 0.4rem 0.8rem;
  align-items: center;
  min-height: 3.6rem;
  padding: 0.4rem 0;
  border-top: 1px solid ${(p) => p.theme.line};
  > svg {
    color: ${(p) => (p.$quiet ? p.theme.quiet : p.$met ? p.theme.good : p.theme.stop)};
  }
  small {
    display: block;
    font-size: 0.98rem;
    color: ${(p) => p.theme.quiet};
  }
  em {
    font-style: normal;
    font-weight: 650;
    color: ${(p) => p.theme.stop};
  }
  > [data-wide] {
    grid-column: 2 / -1;
  }
`;

const Confirm = styled(ToggleButton)`
  min-height: 3rem;
  min-width: 8.5rem;
  padding: 0.3rem 1rem;
  border-radius: 0.5rem;
  border: 2px solid ${(p) => p.theme.act};
  background: ${(p) => p.theme.panel};
  font-weight: 650;
  cursor: pointer;
  &[data-selected] {
    background: ${(p) => p.theme.goodSoft};
    border-color: ${(p) => p.theme.good};
    color: ${(p) => p.theme.good};
  }
`;

/** One gate, with what settles it: a tap, a name, a reading, or nothing where another stage knows. */
export function GateRow({ gate, close, ...actions }: Props) {
  // a job that was signed before these steps were required may lack some
  const quiet = gate.step && !gate.met && !actions.isOpen;
  return (
    <Item $met={gate.met} $quiet={quiet} aria-label={gate.label}>
      <Sign kind={quiet ? "quiet" : gate.met ? "good" : "stop"} size={24} />
      <div>
        <strong>{gate.label}</strong>
        {gate.met && gate.settled === "computed" ? null : <small>{gate.detail}</small>}
        {gate.caution && !gate.met ? <small>{gate.caution}</small> : null}
        {!gate.met && gate.why ? <em>{gate.why}</em> : null}
        {gate.name && gate.met ? <small>{gate.name}</small> : null}
        {gate.waived ? <small>{`${gate.waived.lead}: ${gate.waived.reason}`}</small> : null}
      </div>
      <Settling gate={gate} close={close} {...actions} />
    </Item>
  );
}

function Settling({ gate, close, isOpen, onConfirm, onLeak, onBatch, onRecheck }: Props) {
  if (isOpen && gate.id === "leak") return <LeakWatch watch={close.leak_watch} onWatch={onLeak} />;
  if (isOpen && gate.id === "batch" && !gate.met) {
    return <EntryField label="Batch on the bottle" value="" name="batch" onFinish={onBatch} />;
  }
  if (isOpen && gate.id === "recheck") {
    return (
      <Row $gap={1} data-wide>
        {close.recheck_on || !close.recheck_proposed ? null : (
          <Button
            aria-label={`Re-check on ${daySaid(close.recheck_proposed)}`}
            onPress={() => onRecheck(close.recheck_proposed ?? "")}
          >
            {daySaid(close.recheck_proposed)}
          </Button>
        )}
        <DayField
          key={close.recheck_on ?? "none"}
          label={close.recheck_on ? daySaid(close.recheck_on) : "or another day"}
          value={close.recheck_on ?? ""}
          onFinish={onRecheck}
        />
      </Row>
    );
  }
  if (isOpen && gate.by_name && !gate.met) {
    return (
      <PersonField
        label={gate.by_name}
        value=""
        power={gate.power}
        onPick={(name) => onConfirm(gate.id, true, name)}
      />
    );
  }
  if (isOpen && gate.settled === "confirmed" && !gate.waived) {
    const word = gate.met ? "Confirmed" : gate.step ? "Done" : "I have checked";
    return (
      <Confirm
        aria-label={`${gate.label}: ${word}`}
        isSelected={gate.met}
        onChange={(met) => onConfirm(gate.id, met)}
      >
        {word}
      </Confirm>
    );
  }
  return <Mark kind={markOf(gate)}>{wordOf(gate)}</Mark>;
}

function markOf(gate: Gate) {
  if (gate.waived) return "warn";
  if (gate.met) return "good";
  return gate.step ? "quiet" : "stop";
}

function wordOf(gate: Gate): string {
  if (gate.waived) return "waived";
  if (gate.met) return "yes";
  return gate.step ? "not recorded" : "no";
}
