import { describe, expect, it } from "vitest";
import type { BleedVerdict } from "../../server/api";
import { VERDICTS, rankSaid, verdictSaid } from "./verdictSaid";

const method = (more: Partial<BleedVerdict>) =>
  ({
    verdict: "leaves_air",
    changes: [],
    together: false,
    wanting: [],
    short_of_hands: false,
    leaning: 0,
    ...more,
  }) as BleedVerdict;
const changes = { loop_down: "the loop pulled down", bar_turned: "the bar turned" };

describe("a verdict on a bleeding method", () => {
  it("names where air stays", () => {
    expect(verdictSaid(method({ place: "the high loop" }), changes)).toBe("Air stays at: the high loop.");
    expect(verdictSaid(method({}), changes)).toBe("Air stays.");
  });

  it("promises nothing but a way out where it is suitable", () => {
    expect(verdictSaid(method({ verdict: "suitable", place: "nowhere" }), changes)).toBe(
      "It carries the air of this line out.",
    );
  });

  it("tells changes that are each enough from changes that are wanted together", () => {
    const workable = {
      verdict: "workable",
      place: "the loop",
      changes: ["loop_down", "bar_turned"],
    } as const;
    const either = method({ ...workable, changes: [...workable.changes] });
    expect(verdictSaid(either, changes)).toBe(
      "Air stays at: the loop. It works with the loop pulled down, or the bar turned.",
    );
    expect(verdictSaid({ ...either, together: true }, changes)).toContain(
      "the loop pulled down and the bar turned.",
    );
  });

  it("is never shown as good where air stays", () => {
    expect([VERDICTS.suitable.kind, VERDICTS.workable.kind, VERDICTS.leaves_air.kind]).toEqual([
      "good",
      "warn",
      "stop",
    ]);
  });
});

describe("the place in the list", () => {
  it("says what is missing, whose hands, and what the shop would rather do", () => {
    expect(
      rankSaid(method({ wanting: ["syringe", "clear hose"], short_of_hands: true, leaning: 1 })),
    ).toEqual(["Not on the shelf: syringe, clear hose.", "Needs more people.", "Preferred by this shop."]);
    expect(rankSaid(method({ leaning: -1 }))).toEqual(["Not preferred by this shop."]);
    expect(rankSaid(method({}))).toEqual([]);
  });
});
