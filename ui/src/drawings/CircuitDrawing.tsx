import type { ReactNode, Ref } from "react";
import { useTheme } from "styled-components";
import type { CircuitFigures, PartView } from "../server/api";
import { fluidLooks } from "../kit/tokens";
import { usePhone } from "../kit/usePhone";
import { useUnits } from "../server/useUnits";
import { partName } from "../words/partNames";
import { CaliperShape } from "./CaliperShape";
import { layOut } from "./circuitLayout";
import { ControlShape } from "./ControlShape";
import { geared } from "./gearing";
import { GearingShape } from "./GearingShape";
import { HoseShape } from "./HoseShape";
import { placeLabels } from "./labelLayout";
import { MasterShape, ReservoirShape } from "./MasterShape";
import { OtherControl } from "./OtherControl";
import type { Other } from "./OtherControl";
import { labelLines } from "./partLabel";
import { PartLabel } from "./PartLabel";
import { PartTarget } from "./PartTarget";
import { SlaveShape } from "./SlaveShape";

interface Props {
  figures: CircuitFigures;
  picked: string | undefined;
  onPick: (id: string) => void;
  /** The circuit of another control on the same far end. */
  other?: Other | undefined;
  onOther?: (() => void) | undefined;
  ref?: Ref<SVGSVGElement>;
}

/** The circuit as a schematic to relative height, fluid coloured by its age; every part can be picked, by keyboard too. On a phone its name and figures stand under the drawing alone. */
export function CircuitDrawing({ figures, picked, onPick, other, onOther, ref }: Props) {
  const theme = useTheme();
  const units = useUnits();
  const isPhone = usePhone();
  const { parts, control } = figures;
  const layout = layOut(figures);
  const labels = placeLabels(layout, parts, (part) => labelLines(part, figures, units));
  const fluid = fluidLooks[figures.fluid_look] ?? theme.line;
  const pockets = new Set(figures.pockets.map((pocket) => pocket.part));
  const { x, y, size } = layout.master;
  const drawn = (part: PartView | undefined, shape: ReactNode) => {
    const label = part && labels.get(part.id);
    return label ? (
      <PartTarget
        key={part.id}
        name={partName(part)}
        lines={label.lines}
        isPicked={part.id === picked}
        onPick={() => onPick(part.id)}
      >
        {shape}
        {isPhone ? null : <PartLabel {...label} />}
      </PartTarget>
    ) : null;
  };
  const [master, lever, reservoir] = (["master", "lever", "reservoir"] as const).map((kind) =>
    parts.find((part) => part.part === kind),
  );
  const ofMaster = { size, fluid };
  const vehicle = geared(parts);
  const [end] = layout.ends;
  const middle = (part: PartView | undefined, shape: ReactNode) =>
    drawn(part, <g transform={`translate(${x} ${y})`}>{shape}</g>);
  return (
    <svg
      ref={ref}
      viewBox={`0 0 ${layout.width} ${layout.height}`}
      role="group"
      aria-label="Circuit schematic"
    >
      {layout.hoses.map((hose) =>
        drawn(hose.part, <HoseShape hose={hose} fluid={fluid} isPicked={hose.part.id === picked} />),
      )}
      {other && onOther ? (
        <OtherControl other={other} layout={layout} fluid={fluid} onPick={onOther} />
      ) : null}
      {middle(reservoir, <ReservoirShape {...ofMaster} isPicked={reservoir?.id === picked} />)}
      {middle(master, <MasterShape {...ofMaster} isPicked={master?.id === picked} />)}
      {middle(lever, <ControlShape control={control.id} size={size} isPicked={lever?.id === picked} />)}
      {layout.ends.map(({ part, ...at }) => {
        const Shape = part.part === "slave" ? SlaveShape : CaliperShape;
        const look = { fluid, isPicked: part.id === picked, hasPocket: pockets.has(part.id) };
        return drawn(part, <Shape part={part} x={at.x} y={at.y} {...look} />);
      })}
      {vehicle && end
        ? drawn(vehicle, <GearingShape vehicle={vehicle} {...end} isPicked={vehicle.id === picked} />)
        : null}
    </svg>
  );
}
