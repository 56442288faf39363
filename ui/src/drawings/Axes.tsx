import type { ScaleLinear } from "d3-scale";
import { useTheme } from "styled-components";
import type { Area } from "./useArea";

interface Props {
  x: ScaleLinear<number, number>;
  y: ScaleLinear<number, number>;
  area: Area;
  xLabel: string;
  yLabel: string;
}

/** Fewer figures fit under a narrow chart. */
const NARROW = 400;

export function Axes({ x, y, area, xLabel, yLabel }: Props) {
  const theme = useTheme();
  const floor = area.height - area.bottom;
  return (
    <g fontSize="14" fill={theme.quiet} aria-hidden>
      {y.ticks(5).map((tick) => (
        <g key={tick} transform={`translate(0 ${y(tick)})`}>
          <path d={`M${area.left} 0H${area.width - area.right}`} stroke={theme.line} />
          <text x={area.left - 8} y="5" textAnchor="end">
            {tick}
          </text>
        </g>
      ))}
      {x.ticks(area.width < NARROW ? 4 : 7).map((tick) => (
        <g key={tick} transform={`translate(${x(tick)} ${floor})`}>
          <path d="M0 0V6" stroke={theme.quiet} />
          <text y="22" textAnchor="middle">
            {tick}
          </text>
        </g>
      ))}
      <path d={`M${area.left} ${floor}H${area.width - area.right}`} stroke={theme.quiet} strokeWidth="2" />
      <text x={area.width - area.right} y={area.height - 4} textAnchor="end">
        {xLabel}
      </text>
      <text x={area.left + 6} y={area.top + 8} stroke={theme.panel} strokeWidth="4" paintOrder="stroke">
        {yLabel}
      </text>
    </g>
  );
}
