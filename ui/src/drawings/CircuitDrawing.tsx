import type { Ref } from "react";
import { useTheme } from "styled-components";
import type { CircuitFigures, PartView } from "../server/api";
import { fluidLooks } from "../kit/tokens";
import { partName } from "../words/partNames";
import { CaliperShape } from "./CaliperShape";
import { layOut } from "./circuitLayout";
import { HoseShape } from "./HoseShape";
import { MasterShape } from "./MasterShape";
import { labelLines } from "./partLabel";
import { PartTarget } from "./PartTarget";
import { SlaveShape } from "./SlaveShape";

interface Props {
  figures: CircuitFigures;
  picked: string | undefined;
  onPick: (id: string) => void;
  ref?: Ref<SVGSVGElement>;
}

/** The circuit as a schematic to relative height, fluid coloured by its age; every part can be picked, by keyboard too. */
export function CircuitDrawing({ figures, picked, onPick, ref }: Props) {
  const theme = useTheme();
  const { parts } = figures;
  const layout = layOut(figures);
  const fluid = fluidLooks[figures.fluid_look] ?? theme.line;
  const pockets = new Set(figures.pockets.map((pocket) => pocket.part));
  const target = (part: PartView) => ({
    name: partName(part),
    lines: labelLines(part, parts),
    isPicked: part.id === picked,
    onPick: () => onPick(part.id),
  });
  return (
    <svg
      ref={ref}
      viewBox={`0 0 ${layout.width} ${layout.height}`}
      role="group"
      aria-label="Circuit schematic"
    >
      {layout.hoses.map((hose) => (
        <PartTarget key={hose.part.id} {...target(hose.part)}>
          <HoseShape
            hose={hose}
            fluid={fluid}
            lines={labelLines(hose.part, parts)}
            isPicked={hose.part.id === picked}
          />
        </PartTarget>
      ))}
      <MasterShape at={layout.master} parts={parts} fluid={fluid} picked={picked} onPick={onPick} />
      {layout.ends.map(({ part, x, y }) => {
        const Shape = part.part === "slave" ? SlaveShape : CaliperShape;
        return (
          <PartTarget key={part.id} {...target(part)}>
            <Shape
              part={part}
              x={x}
              y={y}
              fluid={fluid}
              lines={labelLines(part, parts)}
              isPicked={part.id === picked}
              hasPocket={pockets.has(part.id)}
            />
          </PartTarget>
        );
      })}
    </svg>
  );
}
