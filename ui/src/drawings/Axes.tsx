import type { ScaleLinear } from "d3-scale";
import { useTheme } from "styled-components";

interface Props {
  x: ScaleLinear<number, number>;
  y: ScaleLinear<number, number>;
  edge: { left: number; right: number; top: number; bottom: number };
  width: number;
  height: number;
  xLabel: string;
  yLabel: string;
}

export function Axes({ x, y, edge, width, height, xLabel, yLabel }: Props) {
  const theme = useTheme();
  const floor = height - edge.bottom;
  return (
    <g fontSize="14" fill={theme.quiet} aria-hidden>
      {y.ticks(5).map((tick) => (
        <g key={tick} transform={`translate(0 ${y(tick)})`}>
          <path d={`M${edge.left} 0H${width - edge.right}`} stroke={theme.line} />
          <text x={edge.left - 8} y="5" textAnchor="end">
            {tick}
          </text>
        </g>
      ))}
      {x.ticks(7).map((tick) => (
        <g key={tick} transform={`translate(${x(tick)} ${floor})`}>
          <path d="M0 0V6" stroke={theme.quiet} />
          <text y="22" textAnchor="middle">
            {tick}
          </text>
        </g>
      ))}
      <path d={`M${edge.left} ${floor}H${width - edge.right}`} stroke={theme.quiet} strokeWidth="2" />
      <text x={width - edge.right} y={height - 4} textAnchor="end">
        {xLabel}
      </text>
      <text x={edge.left + 6} y={edge.top + 8} stroke={theme.panel} strokeWidth="4" paintOrder="stroke">
        {yLabel}
      </text>
    </g>
  );
}
