import type { Bleed } from "../../server/api";
import type { Parcel } from "../../server/outboxStore";
import { OPEN_AGAIN } from "./nextStep";

type Point = Bleed["points"][number];

/** Below a drop, mL: sums of readings differ so far from what they should be. */
const DROP_ML = 1e-6;

export interface Projected {
  bleed: Bleed;
  /** Entries that can be taken back, oldest first, those still on the way included. */
  undoable: Bleed["recent"];
  /** Entered here and not yet confirmed by the server. */
  waiting: number;
  /** What came of one of them only the core can say: which step is next is not known before. */
  isBehind: boolean;
}

/**
 * The server's count with the entries still on their way laid over it, so that a stroke shows at once and also without a
 * network. The one place where the page runs ahead of the core: it steps along the ladder the core sent, and the core's own
 * count replaces it as soon as it arrives. What it cannot step over, an undo of a stored entry, an uncovered port, a step left
 * out, it leaves to the core, and everything behind it: a count that is behind is better than one that is wrong.
 * @param fresh ids of the colours that count as fresh
 */
export function project(bleed: Bleed, parcels: Parcel[], fresh: string[]): Projected {
  const corrected = new Set(parcels.flatMap((parcel) => parcel.entry.corrects ?? []));
  const ahead = parcels.filter(({ entry }) => !corrected.has(entry.id) && !undoesAhead(entry, parcels));
  const undoable = [
    ...bleed.recent.filter((entry) => !corrected.has(entry.id)),
    ...ahead.flatMap(({ entry }) => (entry.kind === "undo" ? [] : [{ id: entry.id, kind: entry.kind }])),
  ];
  let counted = bleed;
  let isBehind = false;
  for (const { entry } of ahead) {
    const next = step(counted, entry.kind, entry.data, fresh);
    isBehind = !next;
    if (!next) break;
    counted = next;
  }
  return { bleed: counted, undoable, waiting: parcels.length, isBehind };
}

/** An undo of an entry that is itself on the way: neither has happened. */
function undoesAhead(entry: Parcel["entry"], parcels: Parcel[]): boolean {
  return entry.kind === "undo" && parcels.some((parcel) => parcel.entry.id === entry.corrects);
}

/** The count after one more entry; undefined when only the core can say. */
function step(bleed: Bleed, kind: string, data: Record<string, unknown>, fresh: string[]): Bleed | undefined {
  const settle = (point: Point) => settled(point, bleed.method.by_ml, fresh);
  switch (kind) {
    case "stroke":
      return stroked(bleed, settle);
    case "beat":
      return beaten(bleed, String(data["beat"]), settle);
    case "run":
      return ran(bleed, millilitres(data["ml"]), data["poured"] === true, settle);
    case "topped_up":
      if (bleed.cycle.now?.records === "topped_up") return undefined;
      return {
        ...bleed,
        top_ups: bleed.top_ups + 1,
        reservoir: rung(bleed, 0) ?? bleed.reservoir,
      };
    case "bubbles":
      return changePoint(bleed, bleed.current, (point) =>
        settle({ ...point, clean_strokes: 0, clean_ml: 0, marked: false }),
      );
    case "colour":
      return changePoint(bleed, bleed.current, (point) =>
        settle({ ...point, colour: String(data["colour"]) }),
      );
    case "point":
      return has(bleed, data["point"]) ? atPoint(bleed, String(data["point"])) : bleed;
    case "point_done": {
      if (!has(bleed, data["point"])) return bleed;
      const marked = changePoint(bleed, String(data["point"]), (point) => settle({ ...point, marked: true }));
      const following = marked.points.find((point) => !point.done)?.id;
      return atPoint(marked, following ?? String(data["point"]));
    }
    default:
      return undefined;
  }
}

const has = (bleed: Bleed, id: unknown): boolean => bleed.points.some((point) => point.id === id);

/** Another point begins its steps again; which of them are left out there only the core knows. */
function atPoint(bleed: Bleed, id: string): Bleed | undefined {
  if (id === bleed.current) return bleed;
  return bleed.cycle.led ? undefined : { ...bleed, current: id, cycle: atBeat(bleed.cycle, 0, false) };
}

function stroked(bleed: Bleed, settle: (point: Point) => Point): Bleed | undefined {
  const reservoir = rung(bleed, bleed.reservoir.strokes_since_top_up + 1);
  const { cycle } = bleed;
  if (!reservoir || (cycle.phase ?? "cycle") !== "cycle" || cycle.now?.id === OPEN_AGAIN) return undefined;
  const moved = changePoint(bleed, bleed.current, (point) =>
    settle({
      ...point,
      strokes: point.strokes + 1,
      passed_ml: point.passed_ml + bleed.stroke_ml,
      clean_strokes: point.clean_strokes + 1,
      clean_ml: point.clean_ml + bleed.stroke_ml,
    }),
  );
  return {
    ...moved,
    reservoir,
    total_strokes: bleed.total_strokes + 1,
    begun: true,
    cycle: atBeat(cycle, 0, cycle.runs_open === true && cycle.open),
  };
}

/**
 * A beat in its turn, of those that are done again and again; the last one counts the stroke. What is out of turn, what comes
 * first or last at a point, and what is counted in millilitres is for the core.
 */
function beaten(bleed: Bleed, beat: string, settle: (point: Point) => Point): Bleed | undefined {
  const { beats, done, turn, phase } = bleed.cycle;
  if (beat !== turn || beat === OPEN_AGAIN || bleed.method.by_ml || (phase ?? "cycle") !== "cycle")
    return undefined;
  if (done + 1 === beats.length) return stroked(bleed, settle);
  const isOpen = beat === "open" || (bleed.cycle.open && beat !== "close");
  return { ...bleed, cycle: atBeat(bleed.cycle, done + 1, isOpen) };
}

function stepOn(cycle: Bleed["cycle"]): Bleed["cycle"] {
  return atBeat(cycle, (cycle.done + 1) % cycle.beats.length, cycle.open);
}

function atBeat(cycle: Bleed["cycle"], done: number, open: boolean): Bleed["cycle"] {
  const now = cycle.beats[done];
  return { ...cycle, done, open, ...(now ? { turn: now.id, now } : {}) };
}

function ran(
  bleed: Bleed,
  ml: number,
  isPoured: boolean,
  settle: (point: Point) => Point,
): Bleed | undefined {
  if (!Number.isFinite(ml) || (bleed.cycle.phase ?? "cycle") !== "cycle") return undefined;
  const moved = changePoint(bleed, bleed.current, (point) =>
    settle({ ...point, passed_ml: point.passed_ml + ml, clean_ml: point.clean_ml + ml }),
  );
  return {
    ...moved,
    begun: true,
    cycle: bleed.cycle.now?.records === "run" ? stepOn(bleed.cycle) : bleed.cycle,
    reservoir: isPoured ? bleed.reservoir : drawn(bleed.reservoir, ml),
  };
}

/** What was typed, where it is a plain figure in mL; the core reads the rest. */
function millilitres(typed: unknown): number {
  const [, figure] = /^\s*(\d+(?:[.,]\d+)?)\s*(?:ml)?\s*$/i.exec(String(typed)) ?? [];
  return figure === undefined ? Number.NaN : Number(figure.replace(",", "."));
}

/** A filling of which so much more is gone. */
function drawn(reservoir: Bleed["reservoir"], ml: number): Bleed["reservoir"] {
  const left = Math.max(reservoir.left_ml - ml, 0);
  const toRefill = Math.max(left - (reservoir.full_ml - reservoir.refill_ml), 0);
  const isSpent = left <= DROP_ML;
  return {
    ...reservoir,
    left_ml: left,
    ml_to_top_up: toRefill,
    spent: isSpent,
    warning: isSpent ? "stop" : toRefill <= DROP_ML ? "now" : "ok",
  };
}

/** What the done-criteria say of a point. */
function settled(point: Point, byMl: boolean, fresh: string[]): Point {
  const toGo = Math.max(point.planned_strokes - point.strokes, point.clean_wanted - point.clean_strokes, 0);
  const mlToGo = Math.max(point.planned_ml - point.passed_ml, point.clean_ml_wanted - point.clean_ml, 0);
  const isFresh = point.colour !== undefined && fresh.includes(point.colour);
  const isEnough = byMl ? mlToGo <= DROP_ML : toGo === 0;
  return {
    ...point,
    strokes_to_go: toGo,
    ml_to_go: mlToGo,
    fresh: isFresh,
    done: point.marked && isEnough && isFresh,
  };
}

/** The reservoir after so many strokes since its refill; an empty one stays empty, and a ladder that was cut short ends. */
function rung(bleed: Bleed, strokes: number): Bleed["reservoir"] | undefined {
  const last = bleed.ladder[bleed.ladder.length - 1];
  const found = bleed.ladder[strokes];
  if (found || !last) return found;
  return last.left_ml > 0 ? undefined : { ...last, strokes_since_top_up: strokes };
}

function changePoint(bleed: Bleed, id: string, changed: (point: Point) => Point): Bleed {
  const points = bleed.points.map((point) => (point.id === id ? changed(point) : point));
  return { ...bleed, points, finished: points.every((point) => point.done) };
}
