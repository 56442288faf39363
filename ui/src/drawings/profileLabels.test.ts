import { describe, expect, it } from "vitest";
import { overlap } from "./boxes";
import type { Named, Placed } from "./profileLabels";
import { placeNames } from "./profileLabels";

const [WIDE, TALL] = [480, 300];
const named = (x: number, y: number, text: string, isBelow = false): Named => ({ x, y, text, isBelow });
const boxes = (points: Named[], placed: Placed[]) =>
  placed.map(({ x, y }, at) => {
    const half = ((points[at]?.text.length ?? 0) * 10) / 2;
    return { left: x - half, right: x + half, top: y - 20, bottom: y + 5 };
  });

/** As they are drawn: a bar master over a caliper; a foot master close to its caliper; tubes that end level. */
const lines = [
  [named(58, 58, "Master outlet, 900 mm"), named(422, 242, "Left caliper, 300 mm")],
  [
    named(58, 58, "Master outlet, 1000 mm"),
    named(330, 230, "Hose to the foot master, lower end, 360 mm", true),
    named(422, 242, "Rear caliper, 330 mm"),
  ],
  [
    named(58, 58, "Master outlet, 180 mm"),
    named(180, 200, "Front tube, lower end, 150 mm", true),
    named(422, 242, "Left caliper, 140 mm"),
  ],
  [
    named(58, 58, "Reservoir, 700 mm"),
    named(110, 150, "Master outlet, 560 mm"),
    named(300, 60, "Hose, highest point, 690 mm"),
    named(422, 242, "Rear caliper, 330 mm", true),
  ],
];

describe.each(lines)("the names of a line", (...points) => {
  const placed = boxes(points, placeNames(points, WIDE, TALL));

  it("stand inside the frame, none over another", () => {
    placed.forEach((box, at) => {
      expect(Math.min(box.left, box.top, WIDE - box.right, TALL - box.bottom)).toBeGreaterThanOrEqual(0);
      placed.slice(at + 1).forEach((other) => expect(overlap(box, other)).toBe(0));
    });
  });

  it("stand within two rows of their points", () => {
    placed.forEach((box, at) => {
      const y = points[at]?.y ?? NaN;
      expect(Math.min(Math.abs(box.bottom - 5 - y), Math.abs(box.top + 20 - y))).toBeLessThanOrEqual(73);
    });
  });
});

it("a name keeps its usual side where both are free", () => {
  const above = placeNames([named(240, 150, "Joint")], WIDE, TALL)[0]?.y ?? NaN;
  const below = placeNames([named(240, 150, "Joint", true)], WIDE, TALL)[0]?.y ?? NaN;
  expect(above).toBeLessThan(150);
  expect(below).toBeGreaterThan(150);
});
