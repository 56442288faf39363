import { scaleLinear } from "d3-scale";
import { line } from "d3-shape";
import { useTheme } from "styled-components";
import { useUnits } from "../server/useUnits";
import type { Control, CurvePoint, Feel } from "../server/api";
import type { Units } from "../kit/units";
import { Axes } from "./Axes";
import { useArea, type Area } from "./useArea";

interface Props {
  expected: CurvePoint[];
  fitted?: CurvePoint[] | undefined;
  readings?: Feel["readings"];
  /** Earlier curves of the same lever. */
  before?: CurvePoint[] | undefined;
  lastGood?: CurvePoint[] | undefined;
  /** Force at which the verdict is taken. */
  referenceN?: number;
  control: Control;
}

const LARGE: Area = { width: 580, height: 320, left: 58, right: 24, top: 18, bottom: 46 };

/** Force up, travel across: as a lever is pulled. Dashed what is expected without air, solid what the readings say. */
export function LeverCurve({
  expected,
  fitted,
  readings = [],
  before,
  lastGood,
  referenceN,
  control,
}: Props) {
  const area = useArea(LARGE);
  const theme = useTheme();
  const units = useUnits();
  const travel = (point: { travel_mm: number }) => units.amount("length", point.travel_mm);
  const all = [...expected, ...(fitted ?? []), ...(before ?? []), ...(lastGood ?? []), ...readings];
  const lines: Drawn[] = [
    { points: lastGood, word: "when it was last good", ink: theme.good, width: 3, dash: "2 6" },
    { points: before, word: "as it came in", ink: theme.stop, width: 3, dash: "14 4 3 4" },
    { points: expected, word: "expected without air", ink: theme.act, width: 3, dash: "10 7" },
    { points: fitted, word: "fitted to the readings", ink: theme.focus, width: 4, dash: "" },
  ];
  const forces = all.map((point) => point.force_n);
  const travels = all.map(travel);
  const x = scaleLinear(
    [
      Math.max(0, Math.min(...travels) - units.amount("length", 2)),
      Math.max(...travels) + units.amount("length", 1),
    ],
    [area.left, area.width - area.right],
  ).nice(6);
  const y = scaleLinear([0, Math.max(...forces) * 1.06], [area.height - area.bottom, area.top]).nice(5);
  const path = line<CurvePoint>(
    (point) => x(travel(point)),
    (point) => y(point.force_n),
  );
  return (
    <svg
      viewBox={`0 0 ${area.width} ${area.height}`}
      role="img"
      aria-label={described(expected, fitted, readings, control, units)}
    >
      <Axes
        x={x}
        y={y}
        area={area}
        xLabel={`${control.label} travel, ${units.unit("length")}`}
        yLabel="Force, N"
      />
      {referenceN === undefined ? null : (
        <g>
          <path
            d={`M${area.left} ${y(referenceN)}H${area.width - area.right}`}
            stroke={theme.quiet}
            strokeDasharray="2 6"
            strokeWidth="2"
          />
          <text
            x={area.width - area.right}
            y={y(referenceN) - 6}
            textAnchor="end"
            fontSize="14"
            fill={theme.quiet}
          >
            reference
          </text>
        </g>
      )}
      {lines.map(({ points, word, ink, width, dash }) =>
        points ? (
          <path
            key={word}
            d={path(points) ?? ""}
            fill="none"
            stroke={ink}
            strokeWidth={width}
            strokeDasharray={dash}
          />
        ) : null,
      )}
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
      <Legend lines={lines} area={area} />
    </svg>
  );
}

interface Drawn {
  points: CurvePoint[] | undefined;
  word: string;
  ink: string;
  width: number;
  dash: string;
}

function Legend({ lines, area }: { lines: Drawn[]; area: Area }) {
  const theme = useTheme();
  return (
    <g transform={`translate(${area.left + 14} ${area.top + 40})`} fontSize="14" fill={theme.ink} aria-hidden>
      {lines
        .filter(({ points }) => points)
        .map(({ word, ink, width, dash }, index) => (
          <g key={word} transform={`translate(0 ${index * 24})`}>
            <path d="M0 0h36" stroke={ink} strokeWidth={width} strokeDasharray={dash} />
            <text x="44" y="5" stroke={theme.panel} strokeWidth="4" paintOrder="stroke">
              {word}
            </text>
          </g>
        ))}
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
