import styled from "styled-components";
import { Button } from "../../kit/Button";
import { Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import type { Close } from "../../server/api";
import { GateRow, type GateActions } from "./GateRow";

interface Props extends GateActions {
  close: Close;
}

const Place = styled.section`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  border-top: 3px solid ${(p) => p.theme.tube};
  padding-top: 0.6rem;
  header {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: center;
    gap: 0.6rem 1rem;
    min-height: 3.2rem;
  }
`;

/** Release gates in the order in which one walks round the machine; many answered by one tap. */
export function WalkRound({ close, ...actions }: Props) {
  return close.places.map((place) => {
    const gates = close.gates.filter((gate) => gate.place === place.id);
    const open = gates.filter((gate) => !gate.met);
    const byHand = open.filter((gate) => gate.settled === "confirmed" && !gate.by_name && !gate.alone);
    const needed = gates.filter((gate) => gate.touched && (gate.met || !gate.step || actions.isOpen));
    const untouched = gates.filter((gate) => !gate.touched).map((gate) => gate.label);
    const met = needed.filter((gate) => gate.met).length;
    return (
      <Place key={place.id} aria-label={place.label}>
        <header>
          <h3>{place.label}</h3>
          <Row $gap={1}>
            {needed.length > 0 ? (
              <Mark kind={met === needed.length ? "good" : "stop"}>{`${met} of ${needed.length}`}</Mark>
            ) : null}
            {actions.isOpen && byHand.length > 1 ? (
              <Button
                tone="act"
                aria-label={`${place.label}: all ${byHand.length} good`}
                onPress={() => byHand.forEach((gate) => actions.onConfirm(gate.id, true))}
              >
                {`All ${byHand.length} good`}
              </Button>
            ) : null}
          </Row>
        </header>
        <ul>
          {gates
            .filter((gate) => gate.touched)
            .map((gate) => (
              <GateRow key={gate.id} gate={gate} close={close} {...actions} />
            ))}
        </ul>
        {untouched.length > 0 ? <Quiet>{`Not touched by this job: ${untouched.join(", ")}.`}</Quiet> : null}
      </Place>
    );
  });
}
