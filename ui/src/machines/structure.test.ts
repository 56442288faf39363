import { describe, expect, it } from "vitest";
import type { Sheet } from "../server/api";
import { addBranch, removeEnd, rename } from "./structure";

const part = (id: string, kind: Sheet["parts"][number]["part"], from?: string) => ({
  id,
  part: kind,
  label: `The ${id}`,
  values: {},
  ...(from ? { from } : {}),
});

/** One hose to one caliper. */
const single = {
  kind: "brake_hand",
  parts: [
    part("lever", "lever"),
    part("m", "master"),
    part("h", "line", "master"),
    part("c", "caliper", "h"),
  ],
} as Sheet;

const feeder = (sheet: Sheet, id: string) => sheet.parts.find((each) => each.id === id)?.from;
const ids = (sheet: Sheet) => sheet.parts.map((each) => each.id);

describe("a further caliper", () => {
  it("hangs on a hose of its own at the master, and leaves the rest alone", () => {
    const sheet = addBranch(single, "master");
    expect(ids(sheet)).toEqual([...ids(single), "hose_1", "caliper_1"]);
    expect([feeder(sheet, "hose_1"), feeder(sheet, "caliper_1")]).toEqual(["master", "hose_1"]);
    expect(feeder(sheet, "c")).toBe("h");
  });

  it("makes a splitter of the end of a hose: what it fed keeps its fluid through a short one", () => {
    const sheet = addBranch(single, "h");
    expect([feeder(sheet, "c"), feeder(sheet, "c_hose")]).toEqual(["c_hose", "h"]);
    expect([feeder(sheet, "caliper_1"), feeder(sheet, "hose_1")]).toEqual(["hose_1", "h"]);
  });

  it("takes an id that no part has", () => {
    const twice = addBranch(addBranch(single, "master"), "master");
    expect(new Set(ids(twice)).size).toBe(ids(twice).length);
    expect(ids(twice).slice(-2)).toEqual(["hose_2", "caliper_2"]);
  });
});

describe("a far end that goes", () => {
  it("takes with it the hoses that fed nothing else, and gives the circuit back as it was", () => {
    expect(removeEnd(addBranch(single, "master"), "caliper_1")).toEqual(single);
  });

  it("leaves the hose that still feeds another", () => {
    const sheet = removeEnd(addBranch(single, "h"), "c");
    expect(ids(sheet)).toEqual(["lever", "m", "h", "hose_1", "caliper_1"]);
  });

  it("takes a whole row of hoses", () => {
    const long = {
      ...single,
      parts: [...single.parts.slice(0, 3), part("h2", "line", "h"), part("c", "caliper", "h2")],
    };
    expect(ids(removeEnd(long as Sheet, "c"))).toEqual(["lever", "m"]);
  });
});

describe("a name", () => {
  it("changes on its part alone", () => {
    const sheet = rename(single, "c", "Left");
    expect(sheet.parts.map((each) => each.label)).toEqual(["The lever", "The m", "The h", "Left"]);
    expect(single.parts[3]?.label).toBe("The c");
  });
});
