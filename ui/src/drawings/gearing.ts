import type { PartView } from "../server/api";
import { numberOf, textOf } from "./partValue";

/** Half the height of the driving sprocket, as it is drawn; the driven one is as much larger as it has more teeth. */
const DRIVING = 9;
const SMALLEST = 5;
const LARGEST = 30;
/** Below the caliper, where its disc ends. */
const SHAFT = 16;

export interface Gearing {
  driving: number;
  driven: number;
  /** Of the disc's shaft and of the driven one, from the middle of the caliper. */
  shaft: number;
  drivenShaft: number;
  foot: number;
}

/** The machine's part, where its disc sits on a shaft that is geared to the track. */
export const geared = (parts: PartView[]): PartView | undefined =>
  parts.find((part) => part.part === "vehicle" && textOf(part, "disc_at") === "jackshaft");

/** How the sprockets stand below a caliper of this height. */
export function gearingOf(vehicle: PartView, height: number): Gearing {
  const driven = Math.min(LARGEST, Math.max(SMALLEST, DRIVING * numberOf(vehicle, "drive_ratio")));
  const shaft = height / 2 + SHAFT;
  const drivenShaft = shaft + DRIVING + driven;
  return { driving: DRIVING, driven, shaft, drivenShaft, foot: drivenShaft + driven };
}
