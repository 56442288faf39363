import { describe, expect, it } from "vitest";
import type { Shop } from "../server/api";
import { peopleWho } from "./PersonField";

const shop = {
  people: [
    { name: "R. Tarn", role: "lead" },
    { name: "M. Beck", role: "mechanic" },
    { name: "J. Syke", role: "learner" },
  ],
  roles: [
    { id: "lead", label: "Lead", powers: ["signs", "leads", "checks"] },
    { id: "mechanic", label: "Mechanic", powers: ["signs", "checks"] },
    { id: "learner", label: "Learner", powers: [] },
  ],
} as unknown as Shop;

describe("the shop's people", () => {
  it.each([
    ["signs", ["R. Tarn", "M. Beck"]],
    ["checks", ["R. Tarn", "M. Beck"]],
    ["leads", ["R. Tarn"]],
    [undefined, ["R. Tarn", "M. Beck", "J. Syke"]],
  ] as const)("who may do %s: %j", (power, names) => expect(peopleWho(shop, power)).toEqual(names));

  it("are nobody before the shop is known", () => expect(peopleWho(undefined, "signs")).toEqual([]));
});
