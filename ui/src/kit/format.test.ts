import { afterEach, describe, expect, it, vi } from "vitest";
import { clockAt, daySaid, minutesTo, timeOn, whenSaid } from "./format";
import { money, moneyTyped } from "./money";

const day = new Date(2026, 10, 27, 14, 10, 20);
const onClock = (at: Date | undefined) =>
  at ? [at.getHours(), at.getMinutes(), at.getSeconds()] : undefined;

describe("a time that is typed", () => {
  it.each(["16:30", "16.30", "1630", " 16:30 "])("is read as it is usually written: %s", (typed) => {
    expect(onClock(timeOn(day, typed))).toEqual([16, 30, 0]);
  });

  it("may be a full hour, or one figure shorter", () => {
    expect(onClock(timeOn(day, "7"))).toEqual([7, 0, 0]);
    expect(onClock(timeOn(day, "0"))).toEqual([0, 0, 0]);
    expect(onClock(timeOn(day, "730"))).toEqual([7, 30, 0]);
  });

  it.each(["", "noon", "24:00", "12:60", "12345", "-1", "12:3"])("is none: “%s”", (typed) => {
    expect(timeOn(day, typed)).toBeUndefined();
    expect(minutesTo(typed, day)).toBeNaN();
  });

  it("leaves the day it is on as it was", () => {
    timeOn(day, "9:00");
    expect(onClock(day)).toEqual([14, 10, 20]);
  });

  it("counts whole minutes, a begun one as one, and less than none to what is past", () => {
    expect(minutesTo("14:30", day)).toBe(20);
    expect(minutesTo("14:11", day)).toBe(1);
    expect(minutesTo("13:10", day)).toBeLessThan(0);
  });

  it("is said again by the clock on the wall", () => {
    expect(clockAt(day.getTime(), 50)).toBe("15:00");
    expect(clockAt(day.getTime(), minutesTo("18:45", day))).toBe("18:45");
  });
});

describe("a sum", () => {
  it("stands in its currency, and bare in a field", () => {
    expect([money(123456, "EUR"), money(-50, "GBP"), money(0, "USD")]).toEqual([
      "€1,234.56",
      "-£0.50",
      "US$0.00",
    ]);
    expect([moneyTyped(123456), moneyTyped(5)]).toEqual(["1234.56", "0.05"]);
  });
});

describe("a day", () => {
  afterEach(() => {
    vi.useRealTimers();
  });

  it("is said with its year only where that is another one", () => {
    vi.useFakeTimers({ now: new Date("2026-11-30T12:00:00Z") });
    expect([daySaid("2026-10-30"), daySaid("2027-01-31")]).toEqual(["30 Oct", "31 Jan 2027"]);
    expect(whenSaid("2025-03-04T09:05:00")).toBe("4 Mar 2025, 09:05");
    expect(whenSaid("2026-03-04T09:05:00")).toBe("4 Mar, 09:05");
  });
});
