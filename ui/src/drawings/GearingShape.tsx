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
  const sprocket = (middle: number, half: number) => (
    <rect x="64" y={middle - half} width="12" height={2 * half} fill={theme.sunk} strokeWidth="3" />
  );
  return (
    <g transform={`translate(${x} ${y})`} stroke={isPicked ? theme.focus : theme.tube}>
      <path d={`M-14 ${shaft}H84M56 ${drivenShaft}H84`} strokeWidth="6" />
      {sprocket(shaft, driving)}
      {sprocket(drivenShaft, driven)}
    </g>
  );
}
