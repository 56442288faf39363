import { describe, expect, it } from "vitest";
import { change, figure, size } from "./format";
import { asDimension, typedList, Units } from "./units";

const metric = new Units({});
const inches = new Units({ length: { unit: "in", factor: 1 / 25.4, extra_decimals: 2 } });

describe("units of a shop", () => {
  it("shows the core's own where the shop has none", () => {
    expect(metric.say("length", 12.7, 2)).toBe("12.70 mm");
  });

  it("shows an inch shop inches, with decimals enough for the same fineness", () => {
    expect(inches.say("length", 12.7, 1)).toBe("0.500 in");
    expect(inches.size("length", 15.875)).toBe("0.625");
  });

  it("marks a bare figure with the shop's unit and leaves a marked one", () => {
    expect(inches.typed("length", "0.5")).toBe("0.5 in");
    expect(inches.typed("length", "5/8")).toBe("5/8 in");
    expect(inches.typed("length", "12.7 mm")).toBe("12.7 mm");
    expect(metric.typed("length", "12.7")).toBe("12.7");
    expect(typedList(inches, "length", "1.25  1.125")).toBe("1.25in 1.125in");
  });

  it("knows a dimension from another word", () => {
    expect(asDimension("length")).toBe("length");
    expect(asDimension("weight")).toBeUndefined();
    expect(asDimension(undefined)).toBeUndefined();
  });
});

describe("figures", () => {
  it("keeps trailing zeros, has a true minus and no minus nought", () => {
    expect([figure(1, 2), figure(-1.25, 1), figure(-0.001, 1)]).toEqual(["1.00", "−1.3", "0.0"]);
  });

  it("says a size as short as it can be said", () => {
    expect([size(20), size(17.46), size(0.625)]).toEqual(["20", "17.46", "0.625"]);
  });

  it("says a change with its sign, and none where there is none", () => {
    expect([change(12.4), change(-3.2), change(0.4)]).toEqual(["+12 %", "−3 %", "0 %"]);
  });
});
