import type { PartView } from "../app/api";
import { CaliperShape } from "./CaliperShape";
import { layOut } from "./circuitLayout";
import { HoseShape } from "./HoseShape";
import { MasterShape } from "./MasterShape";
import { PartTarget } from "./PartTarget";
import { partName } from "../machines/partNames";
import { SlaveShape } from "./SlaveShape";

interface Props {
  parts: PartView[];
  picked: string | undefined;
  onPick: (id: string) => void;
}

/** The circuit as a schematic, drawn from its values; every part can be picked, by keyboard too. */
export function CircuitDrawing({ parts, picked, onPick }: Props) {
  const layout = layOut(parts);
  const single = (kind: PartView["part"]) => parts.find((part) => part.part === kind);
  const target = (part: PartView | undefined) =>
    part ? { name: partName(part), isPicked: part.id === picked, onPick: () => onPick(part.id) } : null;
  return (
    <svg viewBox={`0 0 ${layout.width} ${layout.height}`} role="group" aria-label="Circuit schematic">
      {layout.hoses.map((hose) => (
        <PartTarget key={hose.part.id} {...target(hose.part)!}>
          <HoseShape hose={hose} isPicked={hose.part.id === picked} />
        </PartTarget>
      ))}
      <MasterShape
        at={layout.master}
        master={single("master")}
        lever={single("lever")}
        reservoir={single("reservoir")}
        picked={picked}
        onPick={onPick}
      />
      {layout.ends.map(({ part, x, y }) => (
        <PartTarget key={part.id} {...target(part)!}>
          {part.part === "slave" ? (
            <SlaveShape part={part} x={x} y={y} isPicked={part.id === picked} />
          ) : (
            <CaliperShape part={part} x={x} y={y} isPicked={part.id === picked} />
          )}
        </PartTarget>
      ))}
    </svg>
  );
}
