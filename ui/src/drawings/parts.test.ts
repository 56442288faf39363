import { describe, expect, it } from "vitest";
import type { PartView } from "../server/api";
import { endSize, pistonSides } from "./endShape";
import { masterSize } from "./masterSize";
import { numberOf, numbersOf, textOf } from "./partValue";
import { placed } from "./sectionShapes";

const part = (kind: PartView["part"], values: Record<string, unknown>) =>
  ({
    id: kind,
    part: kind,
    values: Object.entries(values).map(([field, value]) => ({ field, value })),
  }) as PartView;

describe("a value for drawing", () => {
  const hose = part("line", { bore: 3.2, kind: "rubber", pistons: [34, 30], changed_on: null });

  it("is a number, a text or a list, and nothing where there is none", () => {
    expect([numberOf(hose, "bore"), numberOf(hose, "kind"), numberOf(undefined, "bore")]).toEqual([
      3.2, 0, 0,
    ]);
    expect([textOf(hose, "kind"), textOf(hose, "bore"), textOf(hose, "changed_on")]).toEqual([
      "rubber",
      "3.2",
      "",
    ]);
    expect([numbersOf(hose, "pistons"), numbersOf(hose, "length")]).toEqual([[34, 30], []]);
  });
});

describe("a caliper", () => {
  it("has every piston on one side or the other", () => {
    const four = part("caliper", { build: "opposed", pistons: [34, 34, 30, 30] });
    expect(pistonSides(four)).toEqual([
      [34, 30],
      [34, 30],
    ]);
    expect(pistonSides(part("caliper", { build: "sliding", pistons: [27, 27] }))).toEqual([[27, 27], []]);
  });

  it("is drawn higher the more its pistons take, and never too small to see", () => {
    const height = (...pistons: number[]) => endSize(part("caliper", { build: "sliding", pistons })).height;
    expect(height(60, 60)).toBeGreaterThan(height(40, 40));
    expect(height(8)).toBe(height());
  });
});

describe("a master", () => {
  const drawn = (bore: number, stroke: number, mount = "integral") =>
    masterSize([part("master", { bore, stroke }), part("reservoir", { mount })]);

  it("is drawn larger with its bore and its stroke, up to what there is room for", () => {
    expect(drawn(19, 13).bore).toBeGreaterThan(drawn(14, 13).bore);
    expect(drawn(14, 18).stroke).toBeGreaterThan(drawn(14, 13).stroke);
    expect(drawn(14, 600).stroke).toBe(drawn(14, 60).stroke);
  });

  it("has its reservoir on it or away from it", () => {
    expect(drawn(14, 13, "remote").tank).toBeLessThan(drawn(14, 13).tank);
    expect(drawn(14, 13, "remote").isRemote).toBe(true);
  });
});

describe("parts of a cylinder laid out", () => {
  it("lie end to end with the gap between them, in the order they go in", () => {
    const row = placed(["spring", "primary_cup", "piston", "bore_circlip"], 10, 4);
    expect(row.map((each) => each.shape)).toEqual(["spring", "cup", "piston", "ring"]);
    expect(row[0]?.x).toBe(10);
    row.slice(1).forEach((each, index) => {
      const before = row[index];
      expect(each.x - (before?.x ?? 0) - (before?.width ?? 0)).toBe(4);
    });
  });

  it("are drawn as a rod where nobody said what they look like", () => {
    expect(placed(["something_new"], 0, 0)[0]?.shape).toBe("rod");
  });
});
