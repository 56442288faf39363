import { describe, expect, it } from "vitest";
import type { PartView, SizingRow } from "../server/api";
import { rowName } from "./cylinderNames";
import { partName } from "./partNames";
import { referralSaid } from "./referralSaid";
import { waitSaid } from "./waitSaid";

const at = "2026-11-27T14:30:00";

describe("in words", () => {
  it("a wait is until when, and then over", () => {
    const wait = { label: "Sealant cures", until: at } as Parameters<typeof waitSaid>[0];
    expect(waitSaid(wait, Date.parse(at) - 1)).toMatch(/^Sealant cures until 27 Nov,? 14:30$/);
    expect(waitSaid(wait, Date.parse(at))).toBe("Sealant cures: over");
  });

  it("a referral is when and by whom, and where to if somebody said", () => {
    const referral = { at, name: "Ann" } as Parameters<typeof referralSaid>[0];
    expect(referralSaid(referral)).toMatch(/14:30, by Ann$/);
    expect(referralSaid({ ...referral, to: "the dealer" })).toMatch(/, by Ann, to the dealer$/);
  });

  it("a cylinder is its bore and push offset, and what else was changed", () => {
    const row = { bore_mm: 17.46, push_offset_mm: 20 } as SizingRow;
    expect([rowName(row), rowName({ ...row, label: "Braided" })]).toEqual([
      "17.46 × 20",
      "17.46 × 20, Braided",
    ]);
  });

  it("a part goes by its own name, or by what it is", () => {
    expect(partName({ part: "line", label: "Upper hose" } as PartView)).toBe("Upper hose");
    expect(partName({ part: "slave" } as PartView)).toBe("Clutch slave");
  });
});
