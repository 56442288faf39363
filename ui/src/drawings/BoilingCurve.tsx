import { scaleLinear } from "d3-scale";
import { line } from "d3-shape";
import { useTheme } from "styled-components";
import type { FluidCheck } from "../server/api";
import { Axes } from "./Axes";
import { useArea, type Area } from "./useArea";

const LARGE: Area = { width: 560, height: 250, left: 52, right: 20, top: 22, bottom: 46 };
/** Marks on the way to the one that stops the release, lightest first. */
const DASHES = ["2 6", "8 5"];

/** Boiling point against water: where this fluid stands, with the band of an estimate. */
export function BoilingCurve({ check }: { check: FluidCheck }) {
  const area = useArea(LARGE);
  const theme = useTheme();
  const curve = check.curve ?? [];
  const marks = check.marks ?? [];
  const x = scaleLinear([0, curve.at(-1)?.water ?? 1], [area.left, area.width - area.right]);
  const boils = curve.map((point) => point.boils_c);
  const y = scaleLinear(
    [Math.min(...boils) - 8, Math.max(...boils) + 8],
    [area.height - area.bottom, area.top],
  ).nice(5);
  const path = line<(typeof curve)[number]>(
    (point) => x(point.water),
    (point) => y(point.boils_c),
  );
  const { water, boils_c: now } = check;
  return (
    <svg viewBox={`0 0 ${area.width} ${area.height}`} role="img" aria-label={described(check)}>
      <Axes x={x} y={y} area={area} xLabel="Water, % by volume" yLabel="Boils at, °C" />
      {marks.map((mark, place) => (
        <path
          key={mark.label}
          d={`M${x(mark.percent)} ${area.top}V${area.height - area.bottom}`}
          stroke={mark.stops ? theme.stop : theme.warn}
          strokeWidth="2"
          strokeDasharray={mark.stops ? undefined : DASHES[place]}
        />
      ))}
      <g
        fontSize="13"
        fill={theme.quiet}
        textAnchor="middle"
        paintOrder="stroke"
        stroke={theme.panel}
        strokeWidth="4"
      >
        {marks.map((mark) => (
          <text key={mark.label} x={x(mark.percent)} y={area.height - area.bottom - 8}>
            {mark.label}
          </text>
        ))}
      </g>
      <path d={path(curve) ?? ""} fill="none" stroke={theme.act} strokeWidth="4" />
      {water && now !== undefined ? (
        <g>
          {water.high > water.low ? (
            <path
              d={`M${x(water.low)} ${y(now)}H${x(water.high)}`}
              stroke={theme.focus}
              strokeWidth="10"
              opacity="0.45"
              strokeLinecap="round"
            />
          ) : null}
          <circle
            cx={x(water.percent)}
            cy={y(now)}
            r="8"
            fill={theme.panel}
            stroke={theme.focus}
            strokeWidth="4"
          />
          <text
            x={x(water.percent) + (water.percent > 4 ? -14 : 14)}
            textAnchor={water.percent > 4 ? "end" : "start"}
            y={y(now) - 12}
            fontSize="18"
            fontWeight="700"
            fill={theme.ink}
            paintOrder="stroke"
            stroke={theme.panel}
            strokeWidth="5"
          >
            {now.toFixed(0)} °C now
          </text>
        </g>
      ) : null}
    </svg>
  );
}

function described(check: FluidCheck): string {
  const fresh = `Fresh it boils at ${check.dry_c ?? 0} °C.`;
  if (!check.water || check.boils_c === undefined) return `Boiling point against water. ${fresh}`;
  return `Boiling point against water. ${fresh} With ${check.water.percent.toFixed(1)} % of water, ${check.water.source === "measured" ? "measured" : "an estimate"}, ${check.boils_c.toFixed(0)} °C.`;
}
