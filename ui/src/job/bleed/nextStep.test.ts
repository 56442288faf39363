import { describe, expect, it } from "vitest";
import type { Bleed } from "../../server/api";
import { nextStep } from "./nextStep";

type Cycle = Partial<Bleed["cycle"]>;
const beat = (id: string, records?: "run" | "topped_up") => ({
  id,
  label: id,
  how: "so",
  ...(records ? { records } : {}),
});

function bleed(cycle: Cycle, byMl: boolean, isSpent = false): Bleed {
  return {
    cycle: { phase: "cycle", beats: [], done: 0, open: false, ...cycle },
    method: { by_ml: byMl },
    reservoir: { spent: isSpent },
  } as unknown as Bleed;
}

describe("what Space does in Bleed", () => {
  it("counts a whole stroke by one key, or its steps by one each", () => {
    const hold = bleed({ now: beat("hold") }, false);
    expect(nextStep(hold, false, false)).toEqual({ does: "stroke" });
    expect(nextStep(hold, false, true)).toEqual({ does: "beat", beat: beat("hold") });
  });

  it("goes through what comes first at a point step by step, whatever the key counts", () => {
    const first = bleed({ phase: "before", now: beat("open_flow") }, false);
    expect(nextStep(first, false, false)).toEqual({ does: "beat", beat: beat("open_flow") });
  });

  it("asks for the mL where a step is read, and goes on with what moves no fluid", () => {
    expect(nextStep(bleed({ now: beat("draw", "run") }, true), false, false)).toMatchObject({ does: "run" });
    expect(nextStep(bleed({ now: beat("snap") }, true, true), false, false)).toMatchObject({
      beat: { id: "snap" },
    });
  });

  it("shuts the nipple where the reservoir is spent, and then does nothing by habit", () => {
    const now = beat("draw", "run");
    expect(nextStep(bleed({ now, open: true, runs_open: true }, true, true), false, false)).toMatchObject({
      beat: { id: "shut_refill" },
    });
    expect(nextStep(bleed({ now, runs_open: true }, true, true), false, false)).toBeUndefined();
    expect(nextStep(bleed({ now: beat("open_again") }, true, true), false, false)).toBeUndefined();
    expect(nextStep(bleed({ now: beat("open_again") }, true), false, false)).toMatchObject({
      beat: { id: "open_again" },
    });
  });

  it("shuts a nipple that its own cycle opened, though the reservoir is spent", () => {
    const open = bleed({ now: beat("shut"), open: true, runs_open: false }, false, true);
    expect(nextStep(open, false, true)).toMatchObject({ beat: { id: "shut" } });
  });

  it("refills where that is a step of the method", () => {
    expect(nextStep(bleed({ now: beat("refill_syringe", "topped_up") }, true, true), false, false)).toEqual({
      does: "topped_up",
    });
  });

  it("ends the point once it wants nothing more", () => {
    expect(nextStep(bleed({ now: beat("slow_in"), last: beat("shut") }, false), true, false)).toMatchObject({
      beat: { id: "shut" },
    });
    expect(nextStep(bleed({ now: beat("hold") }, false), true, false)).toEqual({ does: "stroke" });
  });
});
