import { useTheme } from "styled-components";
import type { PartView } from "../server/api";
import { gearingOf } from "./gearing";

interface Props {
  vehicle: PartView;
  /** Middle of the caliper, and its height. */
  x: number;
  y: number;
  height: number;
  isPicked: boolean;
}

/** The disc's shaft and the shaft that it is geared to, their sprockets seen from the edge and to scale. */
export function GearingShape({ vehicle, x, y, height, isPicked }: Props) {
  const theme = useTheme();
  const { driving, driven, shaft, drivenShaft } = gearingOf(vehicle, height);
  const edge = isPicked ? theme.focus : theme.tube;
  return (
    <g transform={`translate(${x} ${y})`} stroke={edge}>
      <path d={`M-14 ${shaft}H84M56 ${drivenShaft}H84`} strokeWidth="6" />
      {[
        [shaft, driving],
        [drivenShaft, driven],
      ].map(([middle = 0, half = 0]) => (
        <rect
          key={middle}
          x="64"
          y={middle - half}
          width="12"
          height={2 * half}
          fill={theme.sunk}
          strokeWidth="3"
        />
      ))}
    </g>
  );
}
