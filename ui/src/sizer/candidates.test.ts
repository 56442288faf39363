import { describe, expect, it } from "vitest";
import type { Sheet, SizingRow } from "../server/api";
import { candidateOf, changeAll, farEndSizes, sizeTyped, withValue } from "./candidates";

const row = { key: "19x20", bore_mm: 19, push_offset_mm: 20 } as SizingRow;
const sheet = {
  kind: "brake_hand",
  parts: [
    { id: "h1", part: "line", from: "master", values: { bore: { value: 3.2, source: "measured" } } },
    { id: "h2", part: "line", from: "master", values: {} },
    { id: "c", part: "caliper", from: "h1", values: {} },
  ],
} as unknown as Sheet;

describe("a cylinder that is typed", () => {
  it.each(["19x20", "19 × 20", " 19 X 20 ", "19*20"])("is read as it is spoken of: “%s”", (typed) => {
    expect(sizeTyped(typed)).toEqual({ bore: "19", push_offset: "20" });
  });

  it("keeps the units that were typed with it", () => {
    expect(sizeTyped("3/4 in x 20 mm")).toEqual({ bore: "3/4 in", push_offset: "20 mm" });
  });

  it.each(["", "19", "19x", "x20", "19 by 20"])("is none: “%s”", (typed) => {
    expect(sizeTyped(typed)).toBeNull();
  });
});

describe("what a row was asked as", () => {
  it("is its own candidate, with all that it changes", () => {
    const own = {
      key: "19x20",
      bore: 19,
      label: "Braided",
      changes: [{ part: "h1", field: "kind", value: "braided" }],
    };
    expect(candidateOf(row, [own])).toBe(own);
  });

  it("is a plain cylinder where it is none of one's own", () => {
    expect(candidateOf(row, [])).toEqual({ key: "19x20", bore: 19, push_offset: 20 });
  });
});

describe("a change", () => {
  it("goes to every part of its kind and to no other", () => {
    expect(changeAll(sheet, "line", "kind", "braided").map((each) => each.part)).toEqual(["h1", "h2"]);
  });

  it("of sizes at the far end alone can be taken into a job", () => {
    const sizes = [{ part: "c", field: "pistons", value: "30 30" }];
    expect(farEndSizes({ changes: sizes })).toEqual([{ part: "c", size: "30 30" }]);
    expect(
      farEndSizes({ changes: [...sizes, { part: "h1", field: "kind", value: "braided" }] }),
    ).toBeUndefined();
    expect(farEndSizes({ changes: [] })).toBeUndefined();
    expect(farEndSizes(undefined)).toBeUndefined();
  });

  it("of a value stays a draft: marked as an estimate, beside what was there", () => {
    const draft = withValue(sheet, "h1", "length", "900");
    expect(draft.parts[0]?.values).toEqual({
      bore: { value: 3.2, source: "measured" },
      length: { value: "900", source: "estimate" },
    });
    expect(draft.parts.slice(1)).toEqual(sheet.parts.slice(1));
    expect(sheet.parts[0]?.values).not.toHaveProperty("length");
  });
});
