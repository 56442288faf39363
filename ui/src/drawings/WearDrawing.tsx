import { scaleLinear } from "d3-scale";
import styled, { useTheme } from "styled-components";
import { useUnits } from "../server/useUnits";
import type { Judgement, WearLimits } from "../server/api";

const WIDE = 470;
const ROW = 62;
const LEFT = 128;
const RIGHT = 28;

const Drawing = styled.svg`
  width: 100%;
`;

/** Where each figure lies: new (filled), worn but good, the gauge's own width about the reading, and the limit. */
export function WearDrawing({ judgements, limits }: { judgements: Judgement[]; limits: WearLimits }) {
  const theme = useTheme();
  const units = useUnits();
  return (
    <Drawing
      viewBox={`0 0 ${WIDE} ${judgements.length * ROW + 8}`}
      role="img"
      aria-label={judgements.map((judgement) => judgement.why).join(" ")}
    >
      {judgements.map((judgement, index) => {
        const fresh = newBand(judgement, limits);
        const ends = [judgement.limit_mm, judgement.value_mm, ...fresh];
        const margin = Math.max(0.012, judgement.uncertainty_mm * 1.6);
        const x = scaleLinear([Math.min(...ends) - margin, Math.max(...ends) + margin], [LEFT, WIDE - RIGHT]);
        const good = judgement.most ? [LEFT, x(judgement.limit_mm)] : [x(judgement.limit_mm), WIDE - RIGHT];
        const tone = { reuse: theme.good, too_close: theme.warn, renew: theme.stop }[judgement.verdict];
        return (
          <g key={judgement.id} transform={`translate(0 ${index * ROW})`}>
            <text x="0" y="36" fontSize="15" fill={theme.ink}>
              {judgement.label}
            </text>
            <rect
              x={good[0]}
              y="22"
              width={(good[1] ?? 0) - (good[0] ?? 0)}
              height="20"
              fill={theme.goodSoft}
            />
            <rect
              x={x(fresh[0])}
              y="22"
              width={Math.max(2, x(fresh[1]) - x(fresh[0]))}
              height="20"
              fill={theme.good}
              opacity="0.35"
            />
            <path d={`M${LEFT} 42H${WIDE - RIGHT}`} stroke={theme.line} strokeWidth="2" />
            <path d={`M${x(judgement.limit_mm)} 14v36`} stroke={theme.stop} strokeWidth="3" />
            <path
              d={`M${x(judgement.value_mm - judgement.uncertainty_mm)} 32H${x(judgement.value_mm + judgement.uncertainty_mm)}`}
              stroke={tone}
              strokeWidth="8"
              opacity="0.5"
              strokeLinecap="round"
            />
            <circle
              cx={x(judgement.value_mm)}
              cy="32"
              r="7"
              fill={theme.panel}
              stroke={tone}
              strokeWidth="4"
            />
            <g
              fontSize="14"
              fill={theme.ink}
              textAnchor="middle"
              paintOrder="stroke"
              stroke={theme.panel}
              strokeWidth="4"
            >
              <text x={x(judgement.value_mm)} y="14" fontWeight="700">
                {units.bare("length", judgement.value_mm, 3)}
              </text>
              <text x={x(judgement.limit_mm)} y="60" fill={theme.stop}>
                {units.bare("length", judgement.limit_mm, 3)}
              </text>
            </g>
          </g>
        );
      })}
    </Drawing>
  );
}

/** Where a new part lies, for the figure in hand. */
function newBand(judgement: Judgement, limits: WearLimits): [number, number] {
  const [boreFrom = 0, boreTo = 0] = limits.bore_new;
  const [pistonFrom = 0, pistonTo = 0] = limits.piston_new;
  if (judgement.id === "bore") return [boreFrom, boreTo];
  if (judgement.id === "piston") return [pistonFrom, pistonTo];
  return judgement.id === "clearance" ? [boreFrom - pistonTo, boreTo - pistonFrom] : [0, 0];
}
