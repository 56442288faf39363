import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { setTime, time } from "./time";
import { clock } from "./useSecondsLeft";

describe("the page's clock", () => {
  beforeEach(() => {
    vi.useFakeTimers({ now: 1_000_000 });
    vi.stubGlobal("window", {});
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it("is the browser's own, and stops ticking when it is told to", () => {
    const tick = vi.fn();
    const stop = time.every(1000, tick);
    vi.advanceTimersByTime(3500);
    expect(time.now()).toBe(1_003_500);
    expect(tick).toHaveBeenCalledTimes(3);
    stop();
    vi.advanceTimersByTime(3500);
    expect(tick).toHaveBeenCalledTimes(3);
  });

  it("follows the server's, where the two differ by more than a network takes", () => {
    setTime(1_000_000 + 4_000);
    expect(time.now()).toBe(1_000_000);
    setTime(1_000_000 + 600_000);
    expect(time.now()).toBe(1_600_000);
    setTime(1_000_000);
    expect(time.now()).toBe(1_000_000);
  });

  it("is the one a spec has put in its place, once it is there", () => {
    const ticks: (() => unknown)[] = [];
    const moved = {
      now: () => 42,
      every: (_: number, tick: () => unknown) => (ticks.push(tick), () => ticks.pop()),
    };
    vi.stubGlobal("window", { sandbagClock: moved });
    const tick = vi.fn();
    const stop = time.every(1000, tick);
    vi.advanceTimersByTime(5000);
    expect([time.now(), tick.mock.calls.length]).toEqual([42, 0]);
    ticks.forEach((each) => each());
    expect(tick).toHaveBeenCalledTimes(1);
    stop();
    expect(ticks).toEqual([]);
  });
});

describe("seconds left", () => {
  it.each([
    [0, "0:00"],
    [9, "0:09"],
    [60, "1:00"],
    [615, "10:15"],
  ])("%i s are told as %s", (seconds, told) => expect(clock(seconds)).toBe(told));
});
