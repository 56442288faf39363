import type { PartView } from "../app/api";
import { CaliperShape } from "./CaliperShape";
import { layOut } from "./circuitLayout";
import { HoseShape } from "./HoseShape";
import { labelLines } from "./partLabel";
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
  const target = (part: PartView) => ({
    name: partName(part),
    lines: labelLines(part, parts),
    isPicked: part.id === picked,
    onPick: () => onPick(part.id),
  });
  return (
    <svg viewBox={`0 0 ${layout.width} ${layout.height}`} role="group" aria-label="Circuit schematic">
      {layout.hoses.map((hose) => (
        <PartTarget key={hose.part.id} {...target(hose.part)}>
          <HoseShape hose={hose} lines={labelLines(hose.part, parts)} isPicked={hose.part.id === picked} />
        </PartTarget>
      ))}
      <MasterShape at={layout.master} parts={parts} picked={picked} onPick={onPick} />
      {layout.ends.map(({ part, x, y }) => {
        const Shape = part.part === "slave" ? SlaveShape : CaliperShape;
        return (
          <PartTarget key={part.id} {...target(part)}>
            <Shape part={part} x={x} y={y} lines={labelLines(part, parts)} isPicked={part.id === picked} />
          </PartTarget>
        );
      })}
    </svg>
  );
}
