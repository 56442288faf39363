import { describe, expect, it } from "vitest";
import type { TorqueLine } from "../../server/api";
import { torqueState } from "./torqueState";

const line = (more: Partial<TorqueLine>) => ({ id: "banjo", when: "before", ...more }) as TorqueLine;

describe("a line of the torque list", () => {
  it.each([
    ["in", "good", "in range"],
    ["under", "stop", "under"],
    ["over", "stop", "over"],
  ] as const)("read %s its range is marked %s", (verdict, kind, word) => {
    expect(torqueState(line({ verdict }), true)).toEqual({ kind, word });
  });

  it("that a short driver made snug says so", () => {
    expect(torqueState(line({ snugged: true }), true)).toEqual({ kind: "good", word: "snug, by hand" });
  });

  it("that was estimated is never marked good", () => {
    expect(torqueState(line({ verdict: "in", estimated: true }), true)).toEqual({
      kind: "warn",
      word: "estimate",
    });
  });

  it("is left for after the bleed only where there is one", () => {
    const late = line({ when: "after" });
    expect(torqueState(late, true).word).toBe("after the bleed");
    expect(torqueState(late, false).word).toBe("to do");
    expect(torqueState(line({}), true).word).toBe("to do");
  });
});
