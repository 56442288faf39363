import { ToggleButton } from "react-aria-components";
import styled from "styled-components";
import type { Close } from "../../server/api";
import { Sign } from "../../kit/Mark";

type Gate = Close["gates"][number];

interface Props {
  gates: Gate[];
  isOpen: boolean;
  onConfirm: (gate: string, met: boolean) => void;
}

const Item = styled.li<{ $met: boolean }>`
  display: grid;
  grid-template-columns: 2rem minmax(0, 1fr) auto;
  gap: 0.8rem;
  align-items: center;
  min-height: 4rem;
  padding: 0.5rem 0;
  border-top: 1px solid ${(p) => p.theme.line};
  > svg {
    color: ${(p) => (p.$met ? p.theme.good : p.theme.stop)};
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

const State = styled.span<{ $met: boolean }>`
  font-weight: 650;
  min-width: 8.5rem;
  text-align: center;
  color: ${(p) => (p.$met ? p.theme.good : p.theme.stop)};
`;

export function GateList({ gates, isOpen, onConfirm }: Props) {
  return (
    <ul>
      {gates.map((gate) => (
        <Item key={gate.id} $met={gate.met}>
          <Sign kind={gate.met ? "good" : "stop"} size={26} />
          <div>
            <strong>{gate.label}</strong>
            <small>{gate.detail}</small>
            {gate.caution ? <small>{gate.caution}</small> : null}
            {!gate.met && gate.why ? <em>{gate.why}</em> : null}
          </div>
          {isOpen && gate.settled === "confirmed" ? (
            <Confirm
              aria-label={`${gate.label}: ${gate.met ? "Confirmed" : "I have checked"}`}
              isSelected={gate.met}
              onChange={(met) => onConfirm(gate.id, met)}
            >
              {gate.met ? "Confirmed" : "I have checked"}
            </Confirm>
          ) : (
            <State $met={gate.met}>{gate.met ? "yes" : "no"}</State>
          )}
        </Item>
      ))}
    </ul>
  );
}
