import { describe, expect, it } from "vitest";
import { placed } from "./sectionShapes";

describe("parts in a bore", () => {
  const order = ["spring", "primary_cup", "piston", "secondary_cup", "bore_circlip", "boot"];

  it("lie end to end in their order, with the gap between them", () => {
    const row = placed(order, 40, 6);
    expect(row.map((each) => each.shape)).toEqual(["spring", "cup", "piston", "cup", "ring", "boot"]);
    expect(row[0]?.x).toBe(40);
    row.slice(1).forEach((each, index) => {
      const before = row[index];
      expect(each.x).toBe((before?.x ?? 0) + (before?.width ?? 0) + 6);
    });
  });

  it("take the same room in any order", () => {
    const end = (ids: string[]) => Math.max(...placed(ids, 0, 0).map((each) => each.x + each.width));
    expect(end([...order].reverse())).toBe(end(order));
  });
});
