import type { PartView } from "../server/api";
import { numberOf, numbersOf, textOf } from "./partValue";

/** What the drawing of a far end, caliper or slave, is given. */
export interface EndShapeProps {
  part: PartView;
  x: number;
  y: number;
  fluid: string;
  isPicked: boolean;
  /** Its bleed port is not at the top, so that air stays behind. */
  hasPocket: boolean;
}

export const PISTON_SCALE = 0.62;
const SHORTEST_CALIPER = 52;

/** Pistons on the two sides of the disc; a sliding caliper has all of them on one. */
export function pistonSides(part: PartView): [number[], number[]] {
  const pistons = numbersOf(part, "pistons");
  if (textOf(part, "build") !== "opposed") return [pistons, []];
  return [pistons.filter((_, index) => index % 2 === 0), pistons.filter((_, index) => index % 2 === 1)];
}

/** How high an end is drawn, and where across it its hose goes in, clear of disc and nipples. */
export function endSize(part: PartView): { height: number; inlet: number } {
  if (part.part === "slave") return { height: 38 + numberOf(part, "bore"), inlet: 0 };
  const [near] = pistonSides(part);
  const pistons = near.reduce((sum, piston) => sum + piston * PISTON_SCALE + 6, 14);
  return { height: Math.max(SHORTEST_CALIPER, pistons), inlet: -20 };
}
