import { Quiet } from "../../kit/layout";
import { Room } from "../../kit/Rooms";
import type { Close } from "../../server/api";
import { AllGood } from "../AllGood";
import { GateRow, type GateActions } from "./GateRow";

interface Props extends GateActions {
  close: Close;
}

/** Release gates in the order in which one walks round the machine; many answered by one tap. */
export function WalkRound({ close, ...actions }: Props) {
  return close.places.map((place) => {
    const gates = close.gates.filter((gate) => gate.place === place.id);
    const byHand = gates.filter((gate) => !gate.met && gate.together).map((gate) => gate.id);
    const needed = gates.filter((gate) => gate.touched && (gate.met || !gate.step || actions.isOpen));
    const untouched = gates.filter((gate) => !gate.touched).map((gate) => gate.label);
    const met = needed.filter((gate) => gate.met).length;
    return (
      <Room
        key={place.id}
        id={place.id}
        title={place.label}
        said={`${met} of ${needed.length}`}
        left={needed.length - met}
      >
        {actions.isOpen ? (
          <AllGood place={place.label} ids={byHand} onGood={(gate) => actions.onConfirm(gate, true)} />
        ) : null}
        <ul>
          {gates
            .filter((gate) => gate.touched)
            .map((gate) => (
              <GateRow key={gate.id} gate={gate} close={close} {...actions} />
            ))}
        </ul>
        {untouched.length > 0 ? <Quiet>{`Not touched by this job: ${untouched.join(", ")}.`}</Quiet> : null}
      </Room>
    );
  });
}
