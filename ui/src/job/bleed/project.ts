import type { Bleed } from "../../app/api";
import type { Parcel } from "../../app/outboxStore";

export interface Projected {
  bleed: Bleed;
  /** Entries that can be taken back, oldest first, those still on the way included. */
  undoable: Bleed["recent"];
  /** Counted here and not yet confirmed by the server. */
  waiting: number;
}

/**
 * The server's count with the entries still on their way laid over it, so that a stroke shows at once and also without a
 * network. The one place where the page runs ahead of the core: it only steps along the ladder the core sent, and the
 * core's own count replaces it as soon as it arrives.
 */
export function project(bleed: Bleed, parcels: Parcel[]): Projected {
  const corrected = new Set(parcels.flatMap((parcel) => parcel.entry.corrects ?? []));
  const ahead = parcels.filter((parcel) => parcel.entry.kind !== "undo" && !corrected.has(parcel.entry.id));
  const undoable = [
    ...bleed.recent.filter((entry) => !corrected.has(entry.id)),
    ...ahead.map(({ entry }) => ({ id: entry.id, kind: entry.kind })),
  ];
  return {
    bleed: ahead.reduce((count, parcel) => step(count, parcel.entry.kind, parcel.entry.data), bleed),
    undoable,
    waiting: parcels.length,
  };
}

function step(bleed: Bleed, kind: string, data: Record<string, unknown>): Bleed {
  switch (kind) {
    case "stroke": {
      const reservoir = rung(bleed, bleed.reservoir.strokes_since_top_up + 1);
      const moved = changePoint(bleed, (point) => ({
        ...point,
        strokes: point.strokes + 1,
        passed_ml: point.passed_ml + bleed.plan.stroke_ml,
        clean_strokes: point.clean_strokes + 1,
      }));
      return { ...moved, reservoir, total_strokes: bleed.total_strokes + 1 };
    }
    case "topped_up":
      return { ...bleed, reservoir: rung(bleed, 0) };
    case "bubbles":
      return changePoint(bleed, (point) => ({ ...point, clean_strokes: 0, done: false }));
    case "colour":
      return changePoint(bleed, (point) => ({ ...point, colour: String(data["colour"]) }));
    case "point":
      return { ...bleed, current: String(data["point"]) };
    default:
      return bleed;
  }
}

function rung(bleed: Bleed, strokes: number): Bleed["reservoir"] {
  const steps = bleed.ladder;
  return steps[Math.min(strokes, steps.length - 1)] ?? bleed.reservoir;
}

function changePoint(
  bleed: Bleed,
  changed: (point: Bleed["points"][number]) => Bleed["points"][number],
): Bleed {
  const points = bleed.points.map((point) => {
    if (point.id !== bleed.current) return point;
    const next = changed(point);
    const toGo = Math.max(next.planned_strokes - next.strokes, next.clean_wanted - next.clean_strokes, 0);
    return { ...next, strokes_to_go: toGo };
  });
  return { ...bleed, points };
}
