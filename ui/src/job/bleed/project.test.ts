import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import type { Bleed, NewEntry } from "../../server/api";
import { project } from "./project";

type Counted = Pick<Bleed, "current" | "points" | "reservoir" | "total_strokes" | "finished" | "cycle">;
interface Case {
  base: Bleed;
  ahead: NewEntry[];
  after: Counted[];
  in_turn: boolean[];
}

/** Written by spec/page/cases.rb: what the core counts after each entry. */
const { fresh, cases } = JSON.parse(readFileSync("../var/projection_cases.json", "utf8")) as {
  fresh: string[];
  cases: Case[];
};

const COUNTED = ["strokes", "clean_strokes", "colour", "fresh", "marked", "done"] as const;

/** What the mechanic reads off the page, rounded as far below a drop as arithmetic differs. */
function read({ current, points, reservoir, total_strokes, finished, cycle }: Counted, byMl: boolean) {
  return {
    current,
    total_strokes,
    finished,
    cycle: [cycle.done, cycle.turn, cycle.open],
    left: reservoir.left_ml.toFixed(6),
    refill: reservoir.ml_to_top_up.toFixed(6),
    warning: [reservoir.warning, reservoir.spent],
    points: points.map((point) => [
      point.id,
      point.passed_ml.toFixed(6),
      point.clean_ml.toFixed(6),
      byMl ? point.ml_to_go.toFixed(6) : point.strokes_to_go,
      ...COUNTED.map((name) => point[name]),
    ]),
  };
}

const parcels = (entries: NewEntry[]) =>
  entries.map((entry, order) => ({ jobId: "job", entry: { ...entry, at: "2026-03-14T09:00:00Z" }, order }));

const projected = ({ base, ahead }: Case, count: number) =>
  read(project(base, parcels(ahead.slice(0, count)), fresh).bleed, base.method.by_ml);

/** Steps that come first or last at a point, and those of a method that is counted in millilitres, are the core's. */
function isLedByTheCore({ cycle, method }: Bleed, ahead: NewEntry[]): boolean {
  const theirs = [
    ...(method.by_ml ? ["beat"] : []),
    ...(cycle.led ? ["point", "point_done", "beat"] : []),
    ...(method.id === "reverse_syringe" ? ["topped_up"] : []),
    ...(cycle.phase === "cycle" ? [] : ["run", "stroke"]),
  ];
  return ahead.some(({ kind }) => theirs.includes(kind));
}

/** Whether some entry still in force is one that only the core can count. */
function isForTheCore(ahead: NewEntry[]): boolean {
  const corrected = new Set(ahead.map((entry) => entry.corrects));
  const ids = new Set(ahead.map((entry) => entry.id));
  return ahead.some(
    ({ id, kind, corrects }) =>
      (kind === "uncovered" && !corrected.has(id)) || (kind === "undo" && !ids.has(corrects ?? "")),
  );
}

/** A step out of its turn, or one that may be since another was taken back. */
function isOutOfTurn({ ahead, in_turn }: Case, count: number): boolean {
  const kinds = ahead.slice(0, count).map(({ kind }) => kind);
  return in_turn.slice(0, count).includes(false) || (kinds.includes("beat") && kinds.includes("undo"));
}

const every = cases.flatMap((each) => each.ahead.map((_, index) => ({ each, count: index + 1 })));

describe("the projected count", () => {
  const own = every.filter(
    ({ each, count }) =>
      !isForTheCore(each.ahead.slice(0, count)) &&
      !isLedByTheCore(each.base, each.ahead.slice(0, count)) &&
      !isOutOfTurn(each, count),
  );

  it("equals the core's own after every entry that the page can count", () => {
    expect(own.length).toBeGreaterThan(every.length / 3);
    for (const { each, count } of own) {
      const after = each.after[count - 1];
      expect(after && projected(each, count), JSON.stringify(each.ahead[count - 1])).toEqual(
        after && read(after, each.base.method.by_ml),
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
      expect(project(base, parcels(ahead), fresh)).toMatchObject({ waiting: 3, isBehind: true });
    }
    expect(project(base, parcels([stroke("a")]), fresh)).toMatchObject({ waiting: 1, isBehind: false });
  });

  it("knows no next step of a method in millilitres before the core has answered", () => {
    const byMl = own.filter(({ each }) => each.base.method.by_ml && each.base.cycle.turn);
    expect(byMl.length).toBeGreaterThan(0);
    for (const { each } of byMl) {
      const beat = {
        id: "a",
        stage: "bleed",
        kind: "beat",
        data: { beat: each.base.cycle.turn },
        at: "",
      } as NewEntry;
      expect(project(each.base, parcels([beat]), fresh).isBehind).toBe(true);
    }
  });
});
