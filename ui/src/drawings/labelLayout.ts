import type { PartView } from "../server/api";
import type { Box } from "./boxes";
import { covered, cutOff } from "./boxes";
import type { CircuitLayout, Hose, Point } from "./circuitLayout";
import { geared, gearingOf } from "./gearing";
import { pointsOn } from "./hosePath";

export const LINE_HEIGHT = 19;
const FONT_SIZE = 16;
const LETTER_WIDTH = 8.6;

export interface Label extends Point {
  anchor: "start" | "end";
  lines: string[];
}

export function boxOf({ x, y, anchor, lines }: Label): Box {
  const width = Math.max(0, ...lines.map((line) => line.length)) * LETTER_WIDTH;
  const left = anchor === "start" ? x : x - width;
  return { left, top: y - FONT_SIZE, right: left + width, bottom: y + (lines.length - 1) * LINE_HEIGHT + 5 };
}

/** A label over another, or cut off, costs so much more than one over a part. */
const UNREADABLE = 10;

/** A label beside every part, clear of one another, of the parts and of the hoses as far as there is room. */
export function placeLabels(
  layout: CircuitLayout,
  parts: PartView[],
  linesOf: (part: PartView) => string[],
): Map<string, Label> {
  const placed = new Map<string, Label>();
  const frame: Box = { left: 0, top: 0, right: layout.width, bottom: layout.height };
  const shapes = [...shapesOfMaster(layout), ...layout.ends.map(endBox)];
  const hoses = layout.hoses.flatMap(hoseBoxes);
  const place = (part: PartView, spots: Omit<Label, "lines">[]) => {
    const lines = linesOf(part);
    placed.delete(part.id);
    const written = [...placed.values()].map(boxOf);
    const cost = (label: Label) => {
      const box = boxOf(label);
      return UNREADABLE * (cutOff(box, frame) + covered(box, written)) + covered(box, [...shapes, ...hoses]);
    };
    const labels = spots.map((spot) => ({ ...spot, lines }));
    const costs = labels.map(cost);
    const best = labels[costs.indexOf(Math.min(...costs))];
    if (best) placed.set(part.id, best);
  };
  for (const part of parts) {
    const spots = spotsOfMaster(part, layout) ?? spotsOfEnd(part, layout) ?? spotsOfGearing(part, layout);
    if (spots) place(part, spots);
  }
  // a second time, now that each knows where the others went
  for (const hose of [...layout.hoses, ...layout.hoses]) place(hose.part, spotsOfHose(hose));
  return placed;
}

const box = (x: number, y: number, left: number, top: number, right: number, bottom: number): Box => ({
  left: x + left,
  top: y + top,
  right: x + right,
  bottom: y + bottom,
});

function shapesOfMaster({ master: { x, y, size } }: CircuitLayout): Box[] {
  const half = size.bore / 2 + 12;
  return [
    box(x, y, -size.stroke / 2 - 14, -half, size.stroke / 2 + 14, half + 12),
    box(x, y, size.tank - 8, -122, size.tank + 90, -50),
    box(x, y, size.pushed - 10, -36, size.pushed + 16, 44),
    box(x, y, size.pushed, 14, size.pushed + 100, 50),
  ];
}

const endBox = ({ part, x, y, height }: CircuitLayout["ends"][number]): Box =>
  box(x, y, -58, -height / 2 - 30, part.part === "slave" ? 100 : 58, height / 2 + 4);

const hoseBoxes = (hose: Hose): Box[] => pointsOn(hose, 14).map(({ x, y }) => box(x, y, -9, -9, 9, 9));

function spotsOfMaster(part: PartView, { master: { x, y, size } }: CircuitLayout) {
  const beside = size.pushed + 44;
  if (part.part === "reservoir") return [{ x: x + size.tank - 16, y: y - 76, anchor: "end" as const }];
  if (part.part === "master") return [{ x: x - size.stroke / 2 - 28, y: y + 8, anchor: "end" as const }];
  if (part.part === "lever") return [{ x: x + beside, y: y - 58, anchor: "start" as const }];
  return undefined;
}

function spotsOfGearing(part: PartView, { ends: [end] }: CircuitLayout) {
  if (!end || !geared([part])) return undefined;
  const { drivenShaft } = gearingOf(part, end.height);
  return [{ x: end.x + 92, y: end.y + drivenShaft - 2, anchor: "start" as const }];
}

function spotsOfEnd(part: PartView, layout: CircuitLayout): Omit<Label, "lines">[] | undefined {
  const end = layout.ends.find((each) => each.part.id === part.id);
  if (!end) return undefined;
  const right = { x: end.x + (part.part === "slave" ? 106 : 66), y: end.y - 4, anchor: "start" as const };
  const left = { x: end.x - 66, y: end.y - 4, anchor: "end" as const };
  return part.part === "slave" ? [left, right] : [right, left];
}

/** To the right and left of the hose, from its middle outwards: at its ends another begins. */
function spotsOfHose(hose: Hose): Omit<Label, "lines">[] {
  const middle = 6;
  const away = (index: number) => Math.abs(index - middle);
  const along = pointsOn(hose, 2 * middle + 1)
    .map((point, index) => ({ point, away: away(index) }))
    .sort((a, b) => a.away - b.away)
    .map(({ point }) => point);
  return along.flatMap(({ x, y }) => [
    { x: x + 18, y: y - 16, anchor: "start" as const },
    { x: x - 18, y: y - 16, anchor: "end" as const },
    { x: x - 18, y: y + 14, anchor: "end" as const },
    { x: x + 18, y: y + 14, anchor: "start" as const },
    { x: x + 18, y: y - 64, anchor: "start" as const },
    { x: x - 18, y: y - 64, anchor: "end" as const },
    { x: x + 18, y: y - 100, anchor: "start" as const },
    { x: x - 18, y: y - 100, anchor: "end" as const },
  ]);
}
