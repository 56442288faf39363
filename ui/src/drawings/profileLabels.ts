import type { Box } from "./labelLayout";
import { overlap } from "./labelLayout";

/** A point of the line, as it is drawn, with what is written at it. */
export interface Named {
  x: number;
  y: number;
  text: string;
  /** Its name goes below rather than above, where both are free. */
  isBelow: boolean;
}

export interface Placed {
  x: number;
  y: number;
}

export const FONT_SIZE = 20;
const LETTER_WIDTH = 10;
const ROW = 26;
/** From a point to the nearest row, above and below it. */
const ABOVE = -33;
const BELOW = 47;
const MARGIN = 6;
/** A name over another, or outside the frame, costs so much more than one over the line. */
const UNREADABLE = 20;
/** A row further away, and the side that is not the usual one. */
const FAR = 300;
const OTHER_SIDE = 150;

const boxOf = ({ x, y }: Placed, text: string): Box => {
  const half = (text.length * LETTER_WIDTH) / 2;
  return { left: x - half, right: x + half, top: y - FONT_SIZE, bottom: y + 5 };
};

/** Where each name is centred: near its point, inside the frame, clear of the others and of the line as far as there is room. */
export function placeNames(points: Named[], wide: number, tall: number): Placed[] {
  const frame: Box = { left: 0, top: 0, right: wide, bottom: tall };
  const line = points.slice(1).flatMap((to, index) => alongLine(points[index] ?? to, to));
  const spots = points.map((point) => spotsOf(point, wide));
  const cost = (spot: Placed, point: Named, dear: number) => {
    const box = boxOf(spot, point.text);
    const outside = (box.right - box.left) * (box.bottom - box.top) - overlap(box, frame);
    return dear + UNREADABLE * outside + line.reduce((sum, each) => sum + overlap(box, each), 0);
  };
  const place = (index: number, placed: Placed[]): { cost: number; placed: Placed[] } => {
    const point = points[index];
    if (!point) return { cost: 0, placed };
    const tried = (spots[index] ?? []).map(({ spot, dear }) => {
      const box = boxOf(spot, point.text);
      const over = placed.reduce(
        (sum, other, at) => sum + overlap(box, boxOf(other, points[at]?.text ?? "")),
        0,
      );
      const rest = place(index + 1, [...placed, spot]);
      return { cost: cost(spot, point, dear) + UNREADABLE * over + rest.cost, placed: rest.placed };
    });
    return tried.reduce((best, each) => (each.cost < best.cost ? each : best));
  };
  return place(0, []).placed;
}

function spotsOf({ x, y, text, isBelow }: Named, wide: number) {
  const half = (text.length * LETTER_WIDTH) / 2 + MARGIN;
  const inside = Math.max(half, Math.min(wide - half, x));
  const side = (isUnder: boolean) => (isUnder === isBelow ? 0 : OTHER_SIDE);
  return [
    { spot: { x: inside, y: y + ABOVE }, dear: side(false) },
    { spot: { x: inside, y: y + BELOW }, dear: side(true) },
    { spot: { x: inside, y: y + ABOVE - ROW }, dear: side(false) + FAR },
    { spot: { x: inside, y: y + BELOW + ROW }, dear: side(true) + FAR },
  ];
}

const STEPS = 12;

function alongLine(from: Placed, to: Placed): Box[] {
  return Array.from({ length: STEPS }, (_, index) => {
    const share = (index + 0.5) / STEPS;
    const [x, y] = [from.x + (to.x - from.x) * share, from.y + (to.y - from.y) * share];
    return { left: x - 8, right: x + 8, top: y - 8, bottom: y + 8 };
  });
}
