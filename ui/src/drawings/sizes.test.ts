import { describe, expect, it } from "vitest";
import type { PartView } from "../server/api";
import { endSize, pistonSides } from "./endShape";
import { masterSize } from "./masterSize";
import { numberOf, numbersOf, textOf } from "./partValue";

type Value = number | string | number[];

const part = (kind: PartView["part"], values: Record<string, Value>) =>
  ({
    id: kind,
    part: kind,
    values: Object.entries(values).map(([field, value]) => ({ field, value })),
  }) as PartView;

describe("a value of a part", () => {
  const caliper = part("caliper", { pistons: [34, 30], build: "opposed", bore: 12.7 });

  it("is a number, a text or a list, as it is asked for", () => {
    expect(numberOf(caliper, "bore")).toBe(12.7);
    expect(textOf(caliper, "build")).toBe("opposed");
    expect(numbersOf(caliper, "pistons")).toEqual([34, 30]);
  });

  it("that is not there draws as nothing", () => {
    expect([numberOf(undefined, "bore"), numberOf(caliper, "build"), textOf(caliper, "none")]).toEqual([
      0,
      0,
      "",
    ]);
    expect(numbersOf(caliper, "bore")).toEqual([]);
  });
});

describe("a master as drawn", () => {
  const drawn = (values: Record<string, Value>, mount = "integral") =>
    masterSize([part("master", values), part("reservoir", { mount })]);

  it("grows with its bore and its stroke", () => {
    const [small, large] = [drawn({ bore: 11, stroke: 12 }), drawn({ bore: 19, stroke: 14 })];
    expect(large.bore).toBeGreaterThan(small.bore);
    expect(large.stroke - small.stroke).toBe(2);
    expect(large.outlet).toBe(large.bore / 2 + 20);
  });

  it("ends its stroke before it leaves the drawing, whatever was typed", () => {
    expect(drawn({ bore: 16, stroke: 900 }).stroke).toBe(drawn({ bore: 16, stroke: 60 }).stroke);
    expect(drawn({ bore: 16, stroke: 59 }).stroke).toBeLessThan(drawn({ bore: 16, stroke: 60 }).stroke);
  });

  it("has a remote reservoir further away", () => {
    expect(drawn({ bore: 16, stroke: 14 }, "remote").tank).toBeLessThan(drawn({ bore: 16, stroke: 14 }).tank);
  });
});

describe("a far end as drawn", () => {
  it("has its pistons on both sides of the disc where they oppose one another", () => {
    expect(pistonSides(part("caliper", { pistons: [34, 34, 30, 30], build: "opposed" }))).toEqual([
      [34, 30],
      [34, 30],
    ]);
    expect(pistonSides(part("caliper", { pistons: [27, 27], build: "sliding" }))).toEqual([[27, 27], []]);
  });

  it("is as high as its pistons want, and never lower than its nipples", () => {
    const height = (pistons: number[]) => endSize(part("caliper", { pistons, build: "sliding" })).height;
    expect(height([20])).toBe(52);
    expect(height([40, 40])).toBeGreaterThan(height([27, 27]));
    expect(endSize(part("slave", { bore: 38 }))).toEqual({ height: 76, inlet: 0 });
  });
});
