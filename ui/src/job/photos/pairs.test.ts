import { describe, expect, it } from "vitest";
import { earlier, inPairs, type Photo } from "./pairs";

const photo = (entry: string, stage: Photo["stage"], what: string, again?: string): Photo => ({
  entry,
  photo: entry,
  what,
  stage,
  at: "2026-12-01T10:00:00Z",
  ...(again ? { again } : {}),
});
const before = photo("a", "strip", "Clamp");
const lid = photo("b", "strip", "Lid");
const after = photo("c", "fit", "Clamp", "a");

describe("photos", () => {
  it("stand with those that show the same once more", () => {
    const entries = inPairs([before, lid, after]).map((row) => row.map((each) => each.entry));
    expect(entries).toEqual([["a", "c"], ["b"]]);
  });

  it("stand alone where the first was taken back", () => {
    expect(inPairs([lid, after])).toEqual([[lid], [after]]);
  });

  it("are laid beside the first of an earlier stage with the same caption", () => {
    expect(earlier([before, lid, after], "Clamp", "fit")).toBe("a");
    expect(earlier([before], "Clamp", "strip")).toBeUndefined();
    expect(earlier([before], "Lid", "fit")).toBeUndefined();
  });
});
