import { describe, expect, it } from "vitest";
import type { PartValue } from "../server/api";
import { valueGroups } from "./valueGroups";

const value = (field: string, source: string, type = "measure") =>
  ({ field, source, type, label: `The ${field}`, value: 1 }) as unknown as PartValue;

const values = [
  value("bore", "measured"),
  value("stroke", "default"),
  value("torque_banjo", "default"),
  value("torque_clamp", "service_info"),
  value("renewed", "default", "date"),
];

describe("values of a part", () => {
  it("stand open where somebody entered them, and folded by what they are where nobody did", () => {
    const { open, folded } = valueGroups(values, "");
    expect(open.map((each) => each.field)).toEqual(["bore", "torque_clamp"]);
    expect(folded.map((group) => [group.id, group.values.map((each) => each.field)])).toEqual([
      ["defaults", ["stroke"]],
      ["torques", ["torque_banjo"]],
      ["days", ["renewed"]],
    ]);
  });

  it("are found by typing, wherever they are folded", () => {
    const { open, folded } = valueGroups(values, " TORQUE");
    expect(open.map((each) => each.field)).toEqual(["torque_banjo", "torque_clamp"]);
    expect(folded).toEqual([]);
  });
});
