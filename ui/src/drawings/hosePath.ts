import type { Hose, Point } from "./circuitLayout";

type Curve = [Point, Point, Point, Point];

/** A hose as the curves it is drawn with: straight down, or over its peak. */
export function curvesOf({ from, to, peak }: Hose): Curve[] {
  const at = (x: number, y: number): Point => ({ x, y });
  if (!peak) {
    const bend = Math.max(40, (to.y - from.y) * 0.55);
    return [[from, at(from.x, from.y + bend), at(to.x, to.y - bend), to]];
  }
  const reach = (to.x - from.x) / 4 || 40;
  return [
    [from, at(from.x, from.y + 40), at(peak.x - reach, peak.y), peak],
    [peak, at(peak.x + reach, peak.y), at(to.x, to.y - 40), to],
  ];
}

export function pathOf(hose: Hose): string {
  return curvesOf(hose)
    .map(([from, out, back, to]) => `M${said(from)}C${said(out)} ${said(back)} ${said(to)}`)
    .join("");
}

const said = ({ x, y }: Point) => `${x} ${y}`;

/** So many points along the hose, its two ends included. */
export function pointsOn(hose: Hose, count: number): Point[] {
  const curves = curvesOf(hose);
  return Array.from({ length: count }, (_, index) => {
    const along = (index / (count - 1)) * curves.length;
    const which = Math.min(Math.floor(along), curves.length - 1);
    return pointOf(curves[which] as Curve, along - which);
  });
}

function pointOf([a, b, c, d]: Curve, t: number): Point {
  const s = 1 - t;
  const mix = (axis: "x" | "y") =>
    s ** 3 * a[axis] + 3 * s * s * t * b[axis] + 3 * s * t * t * c[axis] + t ** 3 * d[axis];
  return { x: mix("x"), y: mix("y") };
}
