import type { PartView } from "../server/api";

/** What the drawing of a far end, caliper or slave, is given. */
export interface EndShapeProps {
  part: PartView;
  x: number;
  y: number;
  fluid: string;
  lines: string[];
  isPicked: boolean;
  /** Its bleed port is not at the top, so that air stays behind. */
  hasPocket: boolean;
}
