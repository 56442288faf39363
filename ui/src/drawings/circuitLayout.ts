import type { CircuitFigures, PartView } from "../server/api";
import { endSize } from "./endShape";
import { geared, gearingOf } from "./gearing";
import { masterSize } from "./masterSize";
import type { MasterSize } from "./masterSize";

export interface Point {
  x: number;
  y: number;
}

export interface Hose {
  part: PartView;
  from: Point;
  to: Point;
  /** Where it climbs above both its ends. */
  peak?: Point | undefined;
}

export interface CircuitLayout {
  width: number;
  height: number;
  master: Point & { size: MasterSize };
  /** Middle of each caliper or slave. */
  ends: (Point & { part: PartView; height: number })[];
  hoses: Hose[];
}

const END_WIDTH = 250;
/** What is written to the right of the last end. */
const LAST_LABEL = 130;
const NARROWEST = 660;
/** Room above the highest point for the reservoir, below the lowest end for its disc. */
const HEAD = 150;
const FOOT = 45;
/** The tallest and the shortest a circuit is drawn between its highest and lowest point. */
const TALLEST = 200;
const SHORTEST = 100;
const PX_PER_MM = 0.3;
/** A hose that goes down at all is drawn to, so that its end shows and its label has room. */
const SHORTEST_DROP = 46;
/** How far along its way a hose is drawn to climb: clear of the lever. */
const PEAK_AT = 0.85;

/** Places every part: across by the tree, down to relative height. */
export function layOut(figures: CircuitFigures): CircuitLayout {
  const { parts, heights } = figures;
  const ends = parts.filter((part) => part.part === "caliper" || part.part === "slave");
  const lines = parts.filter((part) => part.part === "line");
  const spots = new Map(heights.high_spots.map((spot) => [spot.line, spot.height_mm]));
  const all = [
    heights.master_mm,
    ...heights.lines.flatMap((line) => [line.start_mm, line.end_mm]),
    ...spots.values(),
  ];
  const highest = Math.max(...all);
  const span = highest - Math.min(...all);
  const drawn = Math.max(SHORTEST, Math.min(TALLEST, span * PX_PER_MM));
  const y = (mm: number) => HEAD + (span > 0 ? ((highest - mm) / span) * drawn : 0);

  const width = Math.max(NARROWEST, ends.length * END_WIDTH + LAST_LABEL);
  const left = ends.length === 1 ? width * 0.7 : (width - (ends.length - 1) * END_WIDTH) / 2;
  const columns = new Map(ends.map((part, index) => [part.id, left + index * END_WIDTH]));
  const column = (id: string): number => {
    const own = columns.get(id);
    if (own !== undefined) return own;
    const below = [...lines, ...ends].filter((part) => part.from === id).map((part) => column(part.id));
    return below.reduce((sum, x) => sum + x, 0) / Math.max(1, below.length);
  };

  const size = masterSize(parts);
  const master = { x: ends.length === 1 ? width * 0.34 : width / 2, y: y(heights.master_mm), size };
  const outlet = { x: master.x, y: master.y + size.outlet };
  const foot = (line: PartView): Point => {
    const { start_mm = 0, end_mm = 0 } = heights.lines.find((each) => each.line === line.id) ?? {};
    const fed = ends.find((part) => part.from === line.id);
    return {
      x: fed ? column(line.id) + endSize(fed).inlet : (column(line.id) + master.x) / 2,
      y: end_mm <= start_mm ? Math.max(y(end_mm), head(line).y + SHORTEST_DROP) : y(end_mm),
    };
  };
  const head = (line: PartView): Point => {
    const feeder = lines.find((each) => each.id === line.from);
    return feeder ? foot(feeder) : outlet;
  };
  const hoses = lines.map((part) => {
    const [from, to] = [head(part), foot(part)];
    const peak = spots.get(part.id);
    return {
      part,
      from,
      to,
      peak: peak === undefined ? undefined : { x: from.x + (to.x - from.x) * PEAK_AT, y: y(peak) },
    };
  });
  const hung = ends.map((part) => {
    const line = lines.find((each) => each.id === part.from);
    const { height } = endSize(part);
    return {
      part,
      height,
      x: columns.get(part.id) ?? master.x,
      y: (line ? foot(line).y : outlet.y) + height / 2,
    };
  });
  const vehicle = geared(parts);
  // sprockets reach half way into the room below
  const footOf = ({ y, height }: { y: number; height: number }) =>
    y + (vehicle ? gearingOf(vehicle, height).foot - FOOT / 2 : height / 2);
  const lowest = Math.max(HEAD + drawn, ...hung.map(footOf));
  return { width, height: lowest + FOOT, master, ends: hung, hoses };
}
