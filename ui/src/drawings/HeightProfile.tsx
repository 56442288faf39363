import { useTheme } from "styled-components";
import type { BleedVerdict, BleedVerdicts } from "../server/api";
import { useUnits } from "../server/useUnits";
import { FONT_SIZE, placeNames } from "./profileLabels";

type Way = BleedVerdicts["ways"][number];
type Point = Way["points"][number];
type Legs = BleedVerdict["legs"][number];

interface Props {
  way: Way;
  /** What becomes of the air in each leg under the method at hand. */
  legs: Legs | undefined;
  /** Of the fluid in it, as it was last seen in the clear hose. */
  colour?: string | undefined;
  /** Ids of the places at hand. */
  at?: string[] | undefined;
}

const WIDE = 480;
const TALL = 300;
const EDGE = 58;
/** Half the size of what stands at an end of the line. */
const HALF = 19;

/** The line as height over length, from the reservoir to the nipple; a bubble where air stays. */
export function HeightProfile({ way, legs, colour, at = [] }: Props) {
  const theme = useTheme();
  const units = useUnits();
  const heights = way.points.map((point) => point.height_mm);
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const x = (mm: number) => EDGE + (mm / way.length_mm) * (WIDE - 2 * EDGE);
  const y = (mm: number) => TALL - EDGE - ((mm - low) / Math.max(high - low, 1)) * (TALL - 2 * EDGE);
  const path = way.points
    .map((point, index) => `${index === 0 ? "M" : "L"}${x(point.at_mm)} ${y(point.height_mm)}`)
    .join("");
  const stuck = legs?.findIndex((leg) => leg.state !== "carried" && leg.state !== "rises") ?? -1;
  const bubble = stuck < 0 ? undefined : higher(way.points[stuck], way.points[stuck + 1]);
  const isAtHand = (point: Point) => point.places.some((id) => at.includes(id));
  const worked = way.lines.flatMap((id, index) => {
    const [from, to] = [way.points[index], way.points[index + 1]];
    return from && to && at.includes(id) ? [{ id, from, to }] : [];
  });
  const name = (point: Point) => (point.kind === "far_end" ? way.label : point.label);
  const names = way.points.map((point, index) => ({
    x: x(point.at_mm),
    y: y(point.height_mm),
    text: `${name(point)}, ${units.say("length", point.height_mm, 0)}`,
    isBelow: isBelow(way.points, index),
  }));
  const placed = placeNames(names, WIDE, TALL);
  const atHand = [
    ...way.points.filter(isAtHand).map(name),
    ...worked.map(({ from, to }) => `from ${name(from)} to ${name(to)}`),
  ];
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${TALL}`}
      role="img"
      aria-label={`${way.label}: ${way.points.map((point) => `${point.label} at ${units.say("length", point.height_mm, 0)}`).join(", ")}${bubble ? `; air stays at ${bubble.label}` : ""}${atHand.length > 0 ? `; at hand: ${atHand.join(", ")}` : ""}`}
      style={{ width: "100%", maxHeight: "19rem" }}
    >
      {worked.map(({ id, from, to }) => (
        <path
          key={`${id} ${from.at_mm}`}
          d={`M${x(from.at_mm)} ${y(from.height_mm)}L${x(to.at_mm)} ${y(to.height_mm)}`}
          {...line(theme.act, 22)}
        />
      ))}
      <path d={path} {...line(theme.tube, 14)} />
      <path d={path} {...line(colour ?? theme.fresh, 8)} />
      {way.abs ? <AbsUnit way={way} x={x} y={y} /> : null}
      {way.points.map((point) => (
        <g key={point.label} transform={`translate(${x(point.at_mm)} ${y(point.height_mm)})`}>
          {isAtHand(point) ? (
            <circle r={HALF + 10} fill={theme.actSoft} stroke={theme.act} strokeWidth="4" />
          ) : null}
          <PointShape point={point} isNippleUp={way.nipple_up} />
        </g>
      ))}
      {way.points.map((point, index) => (
        <text
          key={point.label}
          x={placed[index]?.x}
          y={placed[index]?.y}
          textAnchor="middle"
          fontSize={FONT_SIZE}
          fontWeight={isAtHand(point) ? 700 : undefined}
          fill={theme.ink}
        >
          {names[index]?.text}
        </text>
      ))}
      {bubble ? (
        <circle
          cx={x(bubble.at_mm)}
          cy={y(bubble.height_mm)}
          r="16"
          fill={theme.stopSoft}
          stroke={theme.stop}
          strokeWidth="5"
        />
      ) : null}
      {way.pocket_ml > 0.01 ? (
        <text x={WIDE - 6} y="24" textAnchor="end" fontSize="20" fill={theme.stop}>
          {`${units.say("volume", way.pocket_ml, 2)} under a port that is not on top`}
        </text>
      ) : null}
    </svg>
  );
}

const line = (stroke: string, width: number) =>
  ({
    fill: "none",
    stroke,
    strokeWidth: width,
    strokeLinejoin: "round",
    strokeLinecap: "round",
  }) as const;

/** What stands at a point: reservoir and master as blocks, a joint as a ring, the far end with its nipple. */
function PointShape({ point, isNippleUp }: { point: Point; isNippleUp: boolean }) {
  const theme = useTheme();
  const solid = { fill: theme.panel, stroke: theme.ink, strokeWidth: 3 };
  switch (point.kind) {
    case "reservoir":
      return <path d={`M${-HALF} ${-HALF}v${HALF + 6}h${2 * HALF}v${-HALF - 6}`} {...solid} />;
    case "master":
      return (
        <g {...solid}>
          <rect x={-HALF} y={-HALF / 2} width={2 * HALF} height={HALF} rx="4" />
          <path d={`M${-HALF / 2} ${-HALF / 2}v-9h${HALF}v9`} fill={theme.fresh} />
        </g>
      );
    case "far_end":
      return (
        <g {...solid}>
          <rect x={-HALF} y={-HALF} width={2 * HALF} height={2 * HALF} rx="6" />
          <path
            d={isNippleUp ? `M0 ${-HALF}v-12M-5 ${-HALF - 12}h10` : `M${HALF} -6h12M${HALF + 12} -11v10`}
          />
        </g>
      );
    default:
      return <circle r="9" {...solid} />;
  }
}

/** The record does not say where on the way it sits: it is drawn on the first line after the master. */
function AbsUnit({ way, x, y }: { way: Way; x: (mm: number) => number; y: (mm: number) => number }) {
  const theme = useTheme();
  const at = way.points.findIndex((point) => point.kind === "master");
  const [from, to] = [way.points[at], way.points[at + 1]];
  if (!from || !to) return null;
  const [cx, cy] = [x((from.at_mm + to.at_mm) / 2), y((from.height_mm + to.height_mm) / 2)];
  return (
    <g transform={`translate(${cx} ${cy})`}>
      <rect
        x="-30"
        y="-16"
        width="60"
        height="32"
        rx="5"
        fill={theme.panel}
        stroke={theme.warn}
        strokeWidth="3"
      />
      <text textAnchor="middle" y="6" fontSize="16" fill={theme.warn}>
        ABS
      </text>
    </g>
  );
}

/** Its name goes where the line does not: under a point that the line leaves upwards. */
function isBelow(points: Point[], at: number): boolean {
  const here = points[at]?.height_mm ?? 0;
  const beside = [points[at - 1], points[at + 1]].flatMap((point) => point?.height_mm ?? []);
  return beside.every((height) => height > here);
}

function higher(one: Point | undefined, other: Point | undefined): Point | undefined {
  if (!one || !other) return one ?? other;
  return other.height_mm > one.height_mm ? other : one;
}
