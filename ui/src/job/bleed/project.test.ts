import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import type { Bleed, NewEntry } from "../../server/api";
import { project } from "./project";

type Counted = Pick<Bleed, "current" | "points" | "reservoir" | "total_strokes" | "finished">;
interface Case {
  base: Bleed;
  ahead: NewEntry[];
  after: Counted[];
}

/** Written by spec/support/page_cases.rb: what the core counts after each entry. */
const { fresh, cases } = JSON.parse(readFileSync("../var/projection_cases.json", "utf8")) as {
  fresh: string[];
  cases: Case[];
};

const COUNTED = ["strokes", "clean_strokes", "colour", "fresh", "marked", "done", "strokes_to_go"] as const;

/** What the mechanic reads off the page, rounded as far below a drop as arithmetic differs. */
function read({ current, points, reservoir, total_strokes, finished }: Counted) {
  return {
    current,
    total_strokes,
    finished,
    left: reservoir.left_ml.toFixed(6),
    points: points.map((point) => [
      point.id,
      point.passed_ml.toFixed(6),
      ...COUNTED.map((name) => point[name]),
    ]),
  };
}

const parcels = (entries: NewEntry[]) =>
  entries.map((entry, order) => ({ jobId: "job", entry: { ...entry, at: "2026-03-14T09:00:00Z" }, order }));

const projected = ({ base, ahead }: Case, count: number) =>
  read(project(base, parcels(ahead.slice(0, count)), fresh).bleed);

/** Whether some entry still in force is one that only the core can count. */
function isForTheCore(ahead: NewEntry[]): boolean {
  const corrected = new Set(ahead.map((entry) => entry.corrects));
  const ids = new Set(ahead.map((entry) => entry.id));
  return ahead.some(
    ({ id, kind, corrects }) =>
      (kind === "uncovered" && !corrected.has(id)) || (kind === "undo" && !ids.has(corrects ?? "")),
  );
}

const every = cases.flatMap((each) => each.ahead.map((_, index) => ({ each, count: index + 1 })));

describe("the projected count", () => {
  const own = every.filter(({ each, count }) => !isForTheCore(each.ahead.slice(0, count)));

  it("equals the core's own after every entry that the page can count", () => {
    expect(own.length).toBeGreaterThan(every.length / 3);
    for (const { each, count } of own) {
      const after = each.after[count - 1];
      expect(after && projected(each, count), JSON.stringify(each.ahead[count - 1])).toEqual(
        after && read(after),
      );
    }
  });

  it("stops before an entry that only the core can count, whatever follows", () => {
    const [first] = own.filter(({ each }) => each.base.points.length > 1);
    const base = first?.each.base as Bleed;
    const stroke = (id: string): NewEntry => ({ id, stage: "bleed", kind: "stroke", data: {}, at: "" });
    for (const kind of ["uncovered", "undo"]) {
      const ahead = [stroke("a"), { ...stroke("b"), kind, corrects: "stored" }, stroke("c")];
      expect(project(base, parcels(ahead), fresh).bleed.total_strokes).toBe(base.total_strokes + 1);
      expect(project(base, parcels(ahead), fresh).waiting).toBe(3);
    }
  });
});
