import { scaleLinear, scaleUtc } from "d3-scale";
import { useTheme } from "styled-components";
import { daySaid } from "../kit/format";
import type { LeverOnFile } from "../server/api";
import { useArea, type Area } from "./useArea";

export interface Line {
  label: string;
  unit: string;
  value: (point: LeverOnFile) => number | undefined;
  error: (point: LeverOnFile) => number | undefined;
  /** What it may not pass, with its word. */
  limit?: { value: number; word: string } | undefined;
}

interface Props {
  points: LeverOnFile[];
  line: Line;
}

const LARGE: Area = { width: 580, height: 170, left: 58, right: 24, top: 26, bottom: 28 };

/** One figure of a lever over the months, with its errors: hollow as it came in, filled as it went, a drop where fluid was renewed. */
export function LeverMonths({ points, line }: Props) {
  const area = useArea(LARGE);
  const theme = useTheme();
  const shown = points.flatMap((point) => {
    const value = line.value(point);
    return value === undefined
      ? []
      : [{ point, value, error: line.error(point) ?? 0, at: new Date(point.at) }];
  });
  const days = shown.map(({ at }) => at.getTime());
  const month = 30 * 86_400_000;
  const x = scaleUtc(
    [new Date(Math.min(...days) - month / 2), new Date(Math.max(...days) + month / 2)],
    [area.left, area.width - area.right],
  );
  const most = Math.max(line.limit?.value ?? 0, ...shown.map(({ value, error }) => value + 2 * error));
  const y = scaleLinear([0, most * 1.08 || 1], [area.height - area.bottom, area.top]).nice(4);
  const floor = area.height - area.bottom;
  return (
    <svg
      viewBox={`0 0 ${area.width} ${area.height}`}
      role="img"
      aria-label={`${line.label} over the months: ${shown
        .map(({ point, value }) => `${daySaid(point.at)} ${value.toFixed(2)} ${line.unit}`)
        .join(", ")}`}
    >
      <text x={area.left - 44} y="16" fontSize="15" fontWeight="650" fill={theme.ink}>
        {`${line.label}, ${line.unit}`}
      </text>
      <g fontSize="14" fill={theme.quiet} aria-hidden>
        {y.ticks(3).map((tick) => (
          <g key={tick} transform={`translate(0 ${y(tick)})`}>
            <path d={`M${area.left} 0H${area.width - area.right}`} stroke={theme.line} />
            <text x={area.left - 8} y="5" textAnchor="end">
              {tick}
            </text>
          </g>
        ))}
        {x.ticks(5).map((tick) => (
          <text key={tick.getTime()} x={x(tick)} y={area.height - 6} textAnchor="middle">
            {tick.toLocaleDateString("en-GB", { month: "short", year: "2-digit", timeZone: "UTC" })}
          </text>
        ))}
        <path d={`M${area.left} ${floor}H${area.width - area.right}`} stroke={theme.quiet} strokeWidth="2" />
      </g>
      {line.limit ? (
        <g>
          <path
            d={`M${area.left} ${y(line.limit.value)}H${area.width - area.right}`}
            stroke={theme.stop}
            strokeDasharray="9 6"
            strokeWidth="2"
          />
          <text
            x={(area.left + area.width - area.right) / 2}
            y={y(line.limit.value) - 5}
            textAnchor="middle"
            fontSize="14"
            fill={theme.stop}
            stroke={theme.panel}
            strokeWidth="4"
            paintOrder="stroke"
          >
            {line.limit.word}
          </text>
        </g>
      ) : null}
      <path
        // each stretch by itself: a bleed starts a new one
        d={shown
          .map(({ point, at, value }, index) => `${index && !point.bled ? "L" : "M"}${x(at)} ${y(value)}`)
          .join("")}
        fill="none"
        stroke={theme.act}
        strokeWidth="2"
      />
      {shown.map(({ point, value, error, at }) => (
        <g key={`${point.job}${point.state}`} transform={`translate(${x(at)} 0)`}>
          <path
            d={`M0 ${y(value + 2 * error)}V${y(Math.max(value - 2 * error, 0))}`}
            stroke={theme.ink}
            strokeWidth="2"
          />
          <circle
            cy={y(value)}
            r="6"
            fill={point.state === "came" ? theme.panel : theme.act}
            stroke={theme.act}
            strokeWidth="3"
          />
          {point.bled ? (
            <path
              d="M0-7C5-1 5 3 0 3S-5-1 0-7Z"
              transform={`translate(0 ${floor - 4}) scale(1.3)`}
              fill={theme.focus}
            />
          ) : null}
        </g>
      ))}
    </svg>
  );
}
