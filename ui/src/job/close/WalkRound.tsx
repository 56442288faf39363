import { Button } from "../../kit/Button";
import { Quiet } from "../../kit/layout";
import { Room } from "../../kit/Rooms";
import type { Close } from "../../server/api";
import { GateRow, type GateActions } from "./GateRow";

interface Props extends GateActions {
  close: Close;
}

/** Release gates in the order in which one walks round the machine; many answered by one tap. */
export function WalkRound({ close, ...actions }: Props) {
  return close.places.map((place) => {
    const gates = close.gates.filter((gate) => gate.place === place.id);
    const open = gates.filter((gate) => !gate.met);
    const byHand = open.filter((gate) => gate.together);
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
        {actions.isOpen && byHand.length > 1 ? (
          <div>
            <Button
              tone="act"
              aria-label={`${place.label}: all ${byHand.length} good`}
              onPress={() => byHand.forEach((gate) => actions.onConfirm(gate.id, true))}
            >
              {`All ${byHand.length} good`}
            </Button>
          </div>
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
