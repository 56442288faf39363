import { scaleLinear } from "d3-scale";
import { line } from "d3-shape";
import { useTheme } from "styled-components";
import type { CurvePoint, LeverCurves } from "../server/api";
import { useUnits } from "../server/useUnits";
import { Axes } from "./Axes";
import { useArea, type Area } from "./useArea";

interface Props {
  curves: LeverCurves["curves"];
  name: (key: string) => string;
}

const LARGE: Area = { width: 600, height: 290, left: 58, right: 24, top: 18, bottom: 46 };
/** Curves are told apart by their dashes as well as their colour. */
const DASHES = ["", "12 6", "3 5", "14 4 3 4"];

/** Curves of picked cylinders; thin the reserve case, with knock-back and air. */
export function CurveOverlay({ curves, name }: Props) {
  const area = useArea(LARGE);
  const theme = useTheme();
  const units = useUnits();
  const inks = [theme.act, theme.focus, theme.good, theme.ink];
  const travel = (point: CurvePoint) => units.amount("length", point.travel_mm);
  const points = curves.flatMap((curve) => [...curve.normal, ...curve.reserve]);
  const x = scaleLinear(
    [
      Math.max(0, Math.min(...points.map(travel)) - units.amount("length", 2)),
      Math.max(...points.map(travel)),
    ],
    [area.left, area.width - area.right],
  ).nice(6);
  const y = scaleLinear(
    [0, Math.max(...points.map((point) => point.force_n))],
    [area.height - area.bottom, area.top],
  ).nice(5);
  const path = line<CurvePoint>(
    (point) => x(travel(point)),
    (point) => y(point.force_n),
  );
  const said = curves.map((curve) => name(curve.key)).join(", ");
  return (
    <svg
      viewBox={`0 0 ${area.width} ${area.height}`}
      role="img"
      aria-label={`Lever curves of ${said}; thin lines with knock-back and air`}
    >
      <Axes x={x} y={y} area={area} xLabel={`Travel, ${units.unit("length")}`} yLabel="Force, N" />
      {curves.map((curve, index) => (
        <g key={curve.key} fill="none" stroke={inks[index]} strokeDasharray={DASHES[index]}>
          <path d={path(curve.normal) ?? ""} strokeWidth="4" />
          <path d={path(curve.reserve) ?? ""} strokeWidth="1.500" />
        </g>
      ))}
      <g fontSize="14" fill={theme.ink} aria-hidden>
        {curves.map((curve, index) => (
          <g key={curve.key} transform={`translate(${area.left + 14} ${area.top + 34 + index * 22})`}>
            <path d="M0 0h36" stroke={inks[index]} strokeWidth="4" strokeDasharray={DASHES[index]} />
            <text x="44" y="5" stroke={theme.panel} strokeWidth="4" paintOrder="stroke">
              {name(curve.key)}
            </text>
          </g>
        ))}
        <g transform={`translate(${area.left + 14} ${area.top + 34 + curves.length * 22})`}>
          <path d="M0 0h36" stroke={theme.ink} strokeWidth="1.500" />
          <text x="44" y="5" stroke={theme.panel} strokeWidth="4" paintOrder="stroke">
            thin: with knock-back and air
          </text>
        </g>
      </g>
    </svg>
  );
}
