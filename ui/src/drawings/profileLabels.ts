import type { Box } from "./boxes";
import { covered, cutOff } from "./boxes";

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

interface Spot {
  at: Placed;
  box: Box;
  /** What it costs, whatever the other names do. */
  own: number;
}

/** Where each name is centred: near its point, inside the frame, clear of the others and of the line as far as there is room. */
export function placeNames(points: Named[], wide: number, tall: number): Placed[] {
  const frame: Box = { left: 0, top: 0, right: wide, bottom: tall };
  const line = points.slice(1).flatMap((to, index) => alongLine(points[index] ?? to, to));
  const spots = points.map((point) => spotsOf(point, frame, line));
  const place = (index: number, taken: Spot[]): { cost: number; taken: Spot[] } => {
    const open = spots[index];
    if (!open) return { cost: 0, taken };
    const boxes = taken.map((spot) => spot.box);
    const tried = open.map((spot) => {
      const rest = place(index + 1, [...taken, spot]);
      return { cost: spot.own + UNREADABLE * covered(spot.box, boxes) + rest.cost, taken: rest.taken };
    });
    return tried.reduce((best, each) => (each.cost < best.cost ? each : best));
  };
  return place(0, []).taken.map((spot) => spot.at);
}

/** Two rows above a point and two below it. */
function spotsOf({ x, y, text, isBelow }: Named, frame: Box, line: Box[]): Spot[] {
  const half = (text.length * LETTER_WIDTH) / 2 + MARGIN;
  const inside = Math.max(half, Math.min(frame.right - half, x));
  const [above, below] = isBelow ? [OTHER_SIDE, 0] : [0, OTHER_SIDE];
  const rows: [number, number][] = [
    [ABOVE, above],
    [BELOW, below],
    [ABOVE - ROW, above + FAR],
    [BELOW + ROW, below + FAR],
  ];
  return rows.map(([from, dear]) => {
    const at = { x: inside, y: y + from };
    const box = boxOf(at, text);
    return { at, box, own: dear + UNREADABLE * cutOff(box, frame) + covered(box, line) };
  });
}

const STEPS = 12;

function alongLine(from: Placed, to: Placed): Box[] {
  return Array.from({ length: STEPS }, (_, index) => {
    const share = (index + 0.5) / STEPS;
    const [x, y] = [from.x + (to.x - from.x) * share, from.y + (to.y - from.y) * share];
    return { left: x - 8, right: x + 8, top: y - 8, bottom: y + 8 };
  });
}
