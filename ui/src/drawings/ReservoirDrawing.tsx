import styled, { useTheme } from "styled-components";
import type { Bleed } from "../server/api";
import { useUnits } from "../server/useUnits";

interface Props {
  reservoir: Bleed["reservoir"];
  supply: Bleed["method"]["supply"];
}

const TOP = 46;
const FLOOR = 214;

const Drawing = styled.svg`
  width: 100%;
  max-height: 15rem;
`;

/** The reservoir, or the syringe, as the count has drawn it down: full at the top mark, the port or its end at the bottom. */
export function ReservoirDrawing({ reservoir, supply }: Props) {
  const theme = useTheme();
  const units = useUnits();
  const share = reservoir.left_ml / reservoir.full_ml;
  const level = FLOOR - share * (FLOOR - TOP);
  const topUpLevel = TOP + (reservoir.refill_ml / reservoir.full_ml) * (FLOOR - TOP);
  const danger = reservoir.warning === "stop" || reservoir.warning === "now";
  return (
    <Drawing
      viewBox="0 0 170 262"
      role="img"
      aria-label={`${supply === "reservoir" ? "Reservoir" : "Syringe"}: about ${units.bare("volume", reservoir.left_ml, 0)} of ${units.say("volume", reservoir.full_ml, 0)} ${supply === "reservoir" ? "above the port" : "to its end"}`}
    >
      <path d="M10 26h118" stroke={theme.tube} strokeWidth="12" strokeLinecap="round" />
      <path d="M18 34h102v192H18Z" fill={theme.panel} />
      <rect x="18" y={level} width="102" height={FLOOR - level} fill={theme.fresh} />
      <path d={`M18 ${FLOOR}h102v12H18Z`} fill={danger ? theme.stopSoft : theme.fresh} />
      <path d="M18 34v192h102V34" fill="none" stroke={theme.tube} strokeWidth="6" strokeLinejoin="round" />
      <path d="M58 226v18h22v-18" fill={theme.panel} stroke={theme.tube} strokeWidth="6" />
      <path d={`M18 ${FLOOR}h112`} stroke={theme.stop} strokeWidth="3" strokeDasharray="8 4" />
      <path d={`M18 ${TOP}h112`} stroke={theme.ink} strokeWidth="2" />
      <path d={`M106 ${topUpLevel}h24`} stroke={theme.warn} strokeWidth="4" />
      <g fontSize="16" fill={theme.ink}>
        <text x="132" y={TOP + 5}>
          {supply === "reservoir" ? "MAX" : "full"}
        </text>
        <text x="132" y={FLOOR + 5} fill={theme.stop}>
          {supply === "reservoir" ? "port" : "end"}
        </text>
        <text
          x="69"
          y={Math.min(level + 26, FLOOR - 6)}
          textAnchor="middle"
          fontSize="20"
          fontWeight="700"
          fill={share > 0.16 ? "#201703" : theme.ink}
        >
          {units.say("volume", reservoir.left_ml, 0)}
        </text>
      </g>
    </Drawing>
  );
}
