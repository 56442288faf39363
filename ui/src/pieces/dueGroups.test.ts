import { expect, test } from "vitest";
import type { DueLine } from "../server/api";
import { dueGroups, wantedSaid } from "./dueGroups";

function line(id: string, on: string, circuit?: string, more: Partial<DueLine> = {}): DueLine {
  return {
    id,
    kind: "fluid",
    label: id,
    on,
    overdue: on < "2026-03-14",
    ...(circuit ? { machine: { id: "m", name: "M" }, circuit: { id: circuit, name: circuit } } : {}),
    ...more,
  };
}

test("a circuit is one line with all that it wants, by its soonest day", () => {
  const groups = dueGroups([
    line("Hose to look at", "2026-05-01", "rear"),
    line("Full change of fluid", "2026-04-01", "front"),
    line("Water or boil test", "2026-01-01", "rear"),
    line("DOT 4: use by", "2026-02-01"),
  ]);
  expect(groups.map((group) => [group.id, group.on, group.overdue])).toEqual([
    ["rear", "2026-01-01", true],
    ["DOT 4: use by", "2026-02-01", true],
    ["front", "2026-04-01", false],
  ]);
  expect(wantedSaid(groups[0]!)).toBe("Water or boil test; Hose to look at");
});

test("one thing alone says why; a damaged day is said", () => {
  const [alone] = dueGroups([line("Seals", "2026-01-01", "rear", { why: "48 months after 1 Jan 2022." })]);
  expect(wantedSaid(alone!)).toBe("Seals. 48 months after 1 Jan 2022");
  const [damaged] = dueGroups([
    line("Seals", "2026-01-01", "rear", { damaged: true }),
    line("Hose", "2026-01-02", "rear"),
  ]);
  expect(wantedSaid(damaged!)).toBe("Seals (its day is damaged); Hose");
});
