import { useTheme } from "styled-components";
import { usePhone } from "../kit/usePhone";
import type { CircuitFigures } from "../server/api";
import type { CircuitLayout } from "./circuitLayout";
import { ControlShape } from "./ControlShape";
import { MasterShape } from "./MasterShape";
import { masterSize } from "./masterSize";
import { PartTarget } from "./PartTarget";

export interface Other {
  name: string;
  figures: CircuitFigures;
  /** Its cylinder sits between the feed hose of the drawn circuit and the far end. */
  isInLine: boolean;
}

interface Props {
  other: Other;
  layout: CircuitLayout;
  fluid: string;
  onPick: () => void;
}

const SCALE = 0.6;
/** Where the added cylinder stands, left of the one it feeds, and how its hose hangs. */
const LEFT = 92;
const BELOW = 96;
const SLACK = 40;
const LABEL_UNDER = 62;
const LABEL_LEFT = 52;

/** The control of the other circuit that works the same far end, smaller, with the hose between the two. */
export function OtherControl({ other, layout, fluid, onPick }: Props) {
  const theme = useTheme();
  const isPhone = usePhone();
  const size = masterSize(other.figures.parts);
  const feed = layout.hoses[0];
  const { master } = layout;
  const spot = other.isInLine && feed ? feed.to : { x: LEFT, y: master.y + BELOW };
  const outlet = { x: spot.x, y: spot.y + size.outlet * SCALE };
  const label = other.isInLine
    ? { x: spot.x - LABEL_LEFT, y: spot.y + 5 }
    : { x: 8, y: spot.y + LABEL_UNDER };
  const inlet = { x: master.x - master.size.stroke / 2 - SCALE * SLACK, y: master.y };
  return (
    <PartTarget name={other.name} lines={[other.name, "same far end"]} isPicked={false} onPick={onPick}>
      {other.isInLine ? null : (
        <path
          d={`M${outlet.x} ${outlet.y}q0 ${SLACK / 2} ${SLACK / 2} ${SLACK / 2}H${inlet.x - SLACK / 2}Q${inlet.x} ${outlet.y + SLACK / 2} ${inlet.x} ${outlet.y}V${inlet.y}h${SLACK / 2}`}
          fill="none"
          stroke={theme.tube}
          strokeWidth="6"
          strokeDasharray="10 6"
        />
      )}
      <g transform={`translate(${spot.x} ${spot.y}) scale(${SCALE})`}>
        <MasterShape size={size} fluid={fluid} isPicked={false} />
        <ControlShape control={other.figures.control.id} size={size} isPicked={false} />
      </g>
      {isPhone ? null : (
        <text
          {...label}
          textAnchor={other.isInLine ? "end" : "start"}
          fontSize="16"
          fontWeight="600"
          fill={theme.ink}
        >
          {other.name}
        </text>
      )}
    </PartTarget>
  );
}
