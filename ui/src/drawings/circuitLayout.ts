import type { PartView } from "../app/api";

export interface Placed {
  part: PartView;
  x: number;
  y: number;
}

export interface Hose {
  part: PartView;
  from: { x: number; y: number };
  to: { x: number; y: number };
}

export interface CircuitLayout {
  width: number;
  height: number;
  master: { x: number; y: number };
  ends: Placed[];
  hoses: Hose[];
}

const END_WIDTH = 250;
const TOP = 150;
const STEP = 120;
const NARROWEST = 620;

/** Where each part of the tree stands: far ends side by side, every hose one step further down than what feeds it. */
export function layOut(parts: PartView[]): CircuitLayout {
  const ends = parts.filter((part) => part.part === "caliper" || part.part === "slave");
  const lines = parts.filter((part) => part.part === "line");
  const fed = (id: string) => [...lines, ...ends].filter((part) => part.from === id);
  const width = Math.max(NARROWEST, ends.length * END_WIDTH);
  const left = (width - (ends.length - 1) * END_WIDTH) / 2;
  const columns = new Map(ends.map((part, index) => [part.id, left + index * END_WIDTH]));

  const column = (id: string): number => {
    const own = columns.get(id);
    if (own !== undefined) return own;
    const below = fed(id).map((part) => column(part.id));
    return below.reduce((sum, x) => sum + x, 0) / Math.max(1, below.length);
  };
  const depth = (id: string): number => {
    const part = [...lines, ...ends].find((each) => each.id === id);
    return part?.from === undefined || part.from === "master" ? 0 : depth(part.from) + 1;
  };

  const deepest = Math.max(1, ...ends.map((part) => depth(part.id)));
  const master = { x: width / 2, y: TOP };
  const footOf = (line: PartView) => {
    const feedsEnd = ends.some((end) => end.from === line.id);
    return { x: column(line.id), y: TOP + STEP * (feedsEnd ? deepest : depth(line.id) + 1) };
  };
  const headOf = (line: PartView) => {
    const feeder = lines.find((each) => each.id === line.from);
    return feeder ? footOf(feeder) : master;
  };
  return {
    width,
    height: TOP + STEP * deepest + 150,
    master,
    ends: ends.map((part) => ({ part, x: columns.get(part.id) ?? master.x, y: TOP + STEP * deepest + 58 })),
    hoses: lines.map((part) => ({ part, from: headOf(part), to: footOf(part) })),
  };
}
