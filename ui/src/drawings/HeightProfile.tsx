import { useTheme } from "styled-components";
import type { BleedVerdict, BleedVerdicts } from "../server/api";
import { useUnits } from "../server/useUnits";

type Way = BleedVerdicts["ways"][number];
type Legs = BleedVerdict["legs"][number];

interface Props {
  way: Way;
  /** What becomes of the air in each leg under the method at hand. */
  legs: Legs | undefined;
}

const WIDE = 640;
const TALL = 240;
const EDGE = 44;

/** The line as height over length, from the master to the nipple; a bubble where air stays. */
export function HeightProfile({ way, legs }: Props) {
  const theme = useTheme();
  const units = useUnits();
  const heights = way.points.map((point) => point.height_mm);
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const x = (mm: number) => EDGE + (mm / way.length_mm) * (WIDE - 2 * EDGE);
  const y = (mm: number) => TALL - EDGE - ((mm - low) / Math.max(high - low, 1)) * (TALL - 2 * EDGE);
  const path = way.points
    .map((point, at) => `${at === 0 ? "M" : "L"}${x(point.at_mm)} ${y(point.height_mm)}`)
    .join("");
  const stuck = legs?.findIndex((leg) => leg.state !== "carried" && leg.state !== "rises") ?? -1;
  const bubble = stuck < 0 ? undefined : higher(way.points[stuck], way.points[stuck + 1]);
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${TALL}`}
      role="img"
      aria-label={`${way.label}: ${way.points.map((point) => `${point.label} at ${units.say("length", point.height_mm, 0)}`).join(", ")}${bubble ? `; air stays at ${bubble.label}` : ""}`}
      style={{ width: "100%", maxHeight: "17rem" }}
    >
      <path
        d={path}
        fill="none"
        stroke={theme.tube}
        strokeWidth="14"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      <path
        d={path}
        fill="none"
        stroke={theme.fresh}
        strokeWidth="8"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      {way.points.map((point, at) => (
        <g key={point.label}>
          <circle
            cx={x(point.at_mm)}
            cy={y(point.height_mm)}
            r="9"
            fill={theme.panel}
            stroke={theme.ink}
            strokeWidth="2.5"
          />
          <text
            x={Math.min(Math.max(x(point.at_mm), 8), WIDE - 8)}
            y={y(point.height_mm) + (point.height_mm === low ? 28 : -18)}
            textAnchor={at === 0 ? "start" : at === way.points.length - 1 ? "end" : "middle"}
            fontSize="15"
            fill={theme.ink}
          >
            {`${point.label}, ${units.say("length", point.height_mm, 0)}`}
          </text>
        </g>
      ))}
      {bubble ? (
        <circle
          cx={x(bubble.at_mm)}
          cy={y(bubble.height_mm)}
          r="15"
          fill={theme.stopSoft}
          stroke={theme.stop}
          strokeWidth="4"
        />
      ) : null}
    </svg>
  );
}

type Point = Way["points"][number];

function higher(one: Point | undefined, other: Point | undefined): Point | undefined {
  if (!one || !other) return one ?? other;
  return other.height_mm > one.height_mm ? other : one;
}
