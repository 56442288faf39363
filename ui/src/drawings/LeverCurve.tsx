import { scaleLinear } from "d3-scale";
import { line } from "d3-shape";
import { useTheme } from "styled-components";
import { useUnits } from "../server/useUnits";
import type { Control, CurvePoint, Feel } from "../server/api";
import type { Units } from "../kit/units";
import { Axes } from "./Axes";

interface Props {
  expected: CurvePoint[];
  fitted?: CurvePoint[] | undefined;
  readings?: Feel["readings"];
  /** Force at which the verdict is taken. */
  referenceN?: number;
  control: Control;
}

const AREA = { width: 580, height: 320, left: 58, right: 24, top: 18, bottom: 46 };

/** Force up, travel across: as a lever is pulled. Dashed what is expected without air, solid what the readings say. */
export function LeverCurve({ expected, fitted, readings = [], referenceN, control }: Props) {
  const theme = useTheme();
  const units = useUnits();
  const travel = (point: { travel_mm: number }) => units.amount("length", point.travel_mm);
  const all = [...expected, ...(fitted ?? []), ...readings];
  const forces = all.map((point) => point.force_n);
  const travels = all.map(travel);
  const x = scaleLinear(
    [
      Math.max(0, Math.min(...travels) - units.amount("length", 2)),
      Math.max(...travels) + units.amount("length", 1),
    ],
    [AREA.left, AREA.width - AREA.right],
  ).nice(6);
  const y = scaleLinear([0, Math.max(...forces) * 1.06], [AREA.height - AREA.bottom, AREA.top]).nice(5);
  const path = line<CurvePoint>(
    (point) => x(travel(point)),
    (point) => y(point.force_n),
  );
  return (
    <svg
      viewBox={`0 0 ${AREA.width} ${AREA.height}`}
      role="img"
      aria-label={described(expected, fitted, readings, control, units)}
    >
      <Axes
        x={x}
        y={y}
        area={AREA}
        xLabel={`${control.label} travel, ${units.unit("length")}`}
        yLabel="Force, N"
      />
      {referenceN === undefined ? null : (
        <g>
          <path
            d={`M${AREA.left} ${y(referenceN)}H${AREA.width - AREA.right}`}
            stroke={theme.quiet}
            strokeDasharray="2 6"
            strokeWidth="2"
          />
          <text
            x={AREA.width - AREA.right}
            y={y(referenceN) - 6}
            textAnchor="end"
            fontSize="14"
            fill={theme.quiet}
          >
            reference
          </text>
        </g>
      )}
      <path d={path(expected) ?? ""} fill="none" stroke={theme.act} strokeWidth="3" strokeDasharray="10 7" />
      {fitted ? <path d={path(fitted) ?? ""} fill="none" stroke={theme.focus} strokeWidth="4" /> : null}
      {readings.map((reading) => (
        <g key={reading.id} transform={`translate(${x(travel(reading))} ${y(reading.force_n)})`}>
          {reading.set_aside ? (
            <path d="M-6-6 6 6M6-6-6 6" stroke={theme.quiet} strokeWidth="3" />
          ) : reading.outlier ? (
            <path d="M0-9 9 7H-9Z" fill={theme.panel} stroke={theme.stop} strokeWidth="3" />
          ) : (
            <circle r="6" fill={theme.panel} stroke={theme.ink} strokeWidth="3" />
          )}
        </g>
      ))}
      <Legend fitted={Boolean(fitted)} />
    </svg>
  );
}

function Legend({ fitted }: { fitted: boolean }) {
  const theme = useTheme();
  return (
    <g transform={`translate(${AREA.left + 14} ${AREA.top + 40})`} fontSize="14" fill={theme.ink} aria-hidden>
      <path d="M0 0h36" stroke={theme.act} strokeWidth="3" strokeDasharray="10 7" />
      <text x="44" y="5" stroke={theme.panel} strokeWidth="4" paintOrder="stroke">
        expected without air
      </text>
      {fitted ? (
        <g transform="translate(0 24)">
          <path d="M0 0h36" stroke={theme.focus} strokeWidth="4" />
          <text x="44" y="5" stroke={theme.panel} strokeWidth="4" paintOrder="stroke">
            fitted to the readings
          </text>
        </g>
      ) : null}
    </g>
  );
}

function described(
  expected: CurvePoint[],
  fitted: CurvePoint[] | undefined,
  readings: Feel["readings"],
  control: Control,
  units: Units,
): string {
  const end = expected[expected.length - 1];
  const fittedEnd = fitted?.[fitted.length - 1];
  if (!end) return `${control.label} curve`;
  const first = `${control.label} curve: without air ${units.say("length", end.travel_mm, 1)} at ${end.force_n.toFixed(0)} N.`;
  return fittedEnd
    ? `${first} Fitted to ${readings.length} readings: ${units.say("length", fittedEnd.travel_mm, 1)}.`
    : first;
}
