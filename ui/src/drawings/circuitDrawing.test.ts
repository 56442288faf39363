import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import type { CircuitFigures, PartView } from "../server/api";
import { Units } from "../kit/units";
import { overlap } from "./boxes";
import { layOut } from "./circuitLayout";
import { geared, gearingOf } from "./gearing";
import { curvesOf, pointsOn } from "./hosePath";
import { boxOf, placeLabels } from "./labelLayout";
import { labelLines } from "./partLabel";

/** Written by spec/page/cases.rb: a circuit from every template. */
const circuits = JSON.parse(readFileSync("../var/circuit_cases.json", "utf8")) as CircuitFigures[];
const inches = new Units({ length: { unit: "in", factor: 1 / 25.4, extra_decimals: 2 } });

describe.each([...circuits.keys()])("circuit from template %i", (index) => {
  const figures = circuits[index] as CircuitFigures;
  const layout = layOut(figures);

  it("leads every hose from what feeds it to what it feeds", () => {
    for (const hose of layout.hoses) {
      const fed = layout.ends.find((end) => end.part.from === hose.part.id);
      if (fed) {
        expect(hose.to.y).toBeCloseTo(fed.y - fed.height / 2, 6);
        expect(Math.abs(hose.to.x - fed.x)).toBeLessThan(54);
      }
      const feeder = layout.hoses.find((other) => other.part.id === hose.part.from);
      if (feeder) expect(hose.from).toEqual(feeder.to);
    }
  });

  it("stays inside its frame and hangs nothing above its feeder's height", () => {
    for (const end of layout.ends) {
      expect(end.y + end.height / 2).toBeLessThan(layout.height);
      expect(end.x).toBeLessThan(layout.width);
    }
  });

  it.each([new Units({}), inches])("writes no label over another or outside the frame", (units) => {
    const labels = placeLabels(layout, figures.parts, (part) => labelLines(part, figures, units));
    const boxes = [...labels.values()].filter((label) => label.lines.length > 0).map(boxOf);
    expect(boxes.length).toBeGreaterThan(4);
    boxes.forEach((box, at) => {
      expect(Math.min(box.left, box.top, layout.width - box.right)).toBeGreaterThanOrEqual(0);
      boxes.slice(at + 1).forEach((other) => expect(overlap(box, other)).toBe(0));
    });
  });
});

describe("the gearing of a disc's shaft", () => {
  const found = circuits.filter(({ parts }) => geared(parts));

  it("is drawn to scale, inside the frame, and only where the disc sits on the jackshaft", () => {
    expect(found.map((figures) => figures.parts.find((part) => part.part === "caliper")?.label)).toEqual([
      "Jackshaft caliper",
    ]);
    for (const figures of found) {
      const layout = layOut(figures);
      const vehicle = geared(figures.parts) as PartView;
      const [end] = layout.ends;
      const { driving, driven, foot } = gearingOf(vehicle, end?.height ?? NaN);
      expect(driven / driving).toBeCloseTo(2.4, 6);
      expect((end?.y ?? NaN) + foot).toBeLessThan(layout.height);
      expect(labelLines(vehicle, figures, inches)).toEqual(["2.4 : 1", "to the track"]);
    }
  });
});

describe("the names on the drawing", () => {
  it("call each control what it is worked with", () => {
    const said = circuits.map((figures) => {
      const lever = figures.parts.find((part) => part.part === "lever");
      return [figures.control.id, lever && labelLines(lever, figures, inches)[1]];
    });
    expect(new Map(said as [string, string][])).toEqual(
      new Map([
        ["bar_lever", "to the finger"],
        ["foot_lever", "to the foot"],
        ["pedal", "to the foot"],
      ]),
    );
  });

  it("are in the shop's units", () => {
    const figures = circuits[0] as CircuitFigures;
    const line = figures.parts.find((part) => part.part === "line");
    expect(line && labelLines(line, figures, inches)[0]).toMatch(/ in$/);
  });
});

describe("a hose", () => {
  const hose = { part: circuits[0]?.parts[0] as never, from: { x: 0, y: 0 }, to: { x: 100, y: 80 } };

  it("starts at its feeder and ends at what it feeds, over its peak where it has one", () => {
    const peaked = { ...hose, peak: { x: 85, y: -40 } };
    for (const each of [hose, peaked]) {
      const points = pointsOn(each, 21);
      expect(points[0]).toEqual(each.from);
      expect(points[20]).toEqual(each.to);
    }
    expect(curvesOf(peaked)).toHaveLength(2);
    expect(Math.min(...pointsOn(peaked, 21).map((point) => point.y))).toBeCloseTo(-40, 6);
  });
});
