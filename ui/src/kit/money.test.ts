import { describe, expect, it } from "vitest";
import { money, moneyTyped } from "./money";

describe("money", () => {
  it.each([
    [0, "£0.00", "0.00"],
    [5, "£0.05", "0.05"],
    [123_456, "£1,234.56", "1234.56"],
    [-250, "-£2.50", "-2.50"],
  ])("%i pence are %s, and %s in a field", (pence, said, typed) => {
    expect(money(pence, "GBP")).toBe(said);
    expect(moneyTyped(pence)).toBe(typed);
  });

  it("is said in the shop's currency", () => expect(money(100, "EUR")).toBe("€1.00"));
});
