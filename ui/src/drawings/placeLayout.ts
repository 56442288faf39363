import type { Place } from "../server/api";

export interface Spot {
  place: Place;
  x: number;
  y: number;
}

export interface Run {
  line: Place;
  from: { x: number; y: number };
  to: { x: number; y: number };
}

export interface PlaceLayout {
  width: number;
  height: number;
  master: { x: number; y: number };
  spots: Spot[];
  runs: Run[];
}

const COLUMN = 150;
const ROW = 84;
const LEFT = 90;
const TOP = 60;
/** Room to the right of the far ends for what is written there. */
const RIGHT = 120;
/** The upper end of a hose stands clear of what feeds it, by this share of its way. */
const JUST_BELOW = 0.16;
/** Joints of an ABS unit stand on the first hose, by share of its way. */
const ON_THE_WAY: Record<string, number> = { abs_in: 0.36, abs_out: 0.6 };

/** Places on a plan of the circuit: the master at the left, a row for each far end. */
export function layOutPlaces(places: Place[]): PlaceLayout {
  const lines = places.filter((place) => place.kind === "line");
  const ends = places.filter((place) => place.kind === "far_end");
  const rows = new Map(ends.map((end, index) => [end.at, index]));
  const fedBy = (id: string) => [...lines, ...ends].filter((place) => place.from === id);
  const row = (id: string): number => {
    const own = rows.get(id);
    if (own !== undefined) return own;
    const below = fedBy(id).map((place) => row(place.at));
    return below.reduce((sum, each) => sum + each, 0) / Math.max(1, below.length);
  };
  const depth = (line: Place): number => {
    const feeder = lines.find((each) => each.at === line.from);
    return feeder ? depth(feeder) + 1 : 1;
  };
  const deepest = Math.max(1, ...lines.map(depth));
  const middle = TOP + (ROW * Math.max(0, ends.length - 1)) / 2;
  const master = { x: LEFT, y: middle };
  const foot = (line: Place) => ({
    x: LEFT + COLUMN * (fedBy(line.at).some((place) => place.kind === "far_end") ? deepest : depth(line)),
    y: TOP + ROW * row(line.at),
  });
  const head = (line: Place) => {
    const feeder = lines.find((each) => each.at === line.from);
    return feeder ? foot(feeder) : master;
  };
  const runs = lines.map((line) => ({ line, from: head(line), to: foot(line) }));
  const between = (run: Run, share: number) => ({
    x: run.from.x + (run.to.x - run.from.x) * share,
    y: run.from.y + (run.to.y - run.from.y) * share,
  });
  const runOf = (id: string | undefined) => runs.find((run) => run.line.at === id);
  const nippleRows = new Map<string, number>();
  const spotOf = (place: Place): Omit<Spot, "place"> => {
    const end = ends.find((each) => each.part === place.part);
    const endAt = { x: LEFT + COLUMN * deepest + 44, y: TOP + ROW * row(end?.at ?? "") };
    const run = runOf(place.lines[0] ?? place.part);
    switch (place.kind) {
      case "far_end":
        return endAt;
      case "line":
        return run ? between(run, 0.5) : master;
      case "reservoir":
        return { x: master.x, y: master.y - 44 };
      case "nipple": {
        if (!end) return { x: master.x - 44, y: master.y };
        const taken = nippleRows.get(place.part) ?? 0;
        nippleRows.set(place.part, taken + 1);
        return { x: endAt.x + 40, y: endAt.y - 20 + 40 * taken };
      }
      case "joint": {
        if (!run) return end ? { x: endAt.x, y: endAt.y + 26 } : { x: master.x, y: master.y - 24 };
        const share = ON_THE_WAY[place.at.split(".").at(-1) ?? ""];
        if (share !== undefined) return between(run, share);
        if (end || place.at === run.line.at) return run.to;
        return between(run, place.at === "master" ? 0 : JUST_BELOW);
      }
    }
  };
  const spots = places.map((place) => ({ place, ...spotOf(place) }));
  return {
    width: LEFT + COLUMN * deepest + RIGHT,
    height: TOP + ROW * Math.max(0, ends.length - 1) + 50,
    master,
    spots,
    runs,
  };
}
