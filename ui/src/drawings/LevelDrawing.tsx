import styled, { useTheme } from "styled-components";
import { useUnits } from "../server/useUnits";

interface Props {
  /** Each mm below the upper mark. */
  highestMm: number;
  lowestMm: number;
  readMm?: number | undefined;
}

const Drawing = styled.svg`
  width: 100%;
  max-height: 12rem;
`;

const TOP = 40;
const FLOOR = 150;

/** The reservoir between its marks: where it may be filled to, and where it stands. */
export function LevelDrawing({ highestMm, lowestMm, readMm }: Props) {
  const theme = useTheme();
  const units = useUnits();
  const deepest = Math.max(lowestMm, highestMm, readMm ?? 0, 1);
  const y = (below: number) => TOP + (Math.max(below, -3) / deepest) * (FLOOR - TOP);
  const filled = readMm ?? Math.min(highestMm, lowestMm);
  const high = y(Math.min(highestMm, lowestMm));
  return (
    <Drawing
      viewBox="0 0 320 180"
      role="img"
      aria-label={`Reservoir: fill to ${units.say("length", highestMm, 1)} below the upper mark, lower mark at ${units.say("length", lowestMm, 1)}${
        readMm === undefined ? "" : `, stands at ${units.say("length", readMm, 1)}`
      }`}
    >
      <path d="M30 20v146h120V20" fill={theme.panel} />
      <rect
        x="30"
        y={y(filled)}
        width="120"
        height={166 - y(filled)}
        fill={theme.fresh}
        opacity={readMm === undefined ? 0.45 : 1}
      />
      <path d="M30 20v146h120V20" fill="none" stroke={theme.tube} strokeWidth="6" strokeLinejoin="round" />
      <path d="M22 16h136" stroke={theme.tube} strokeWidth="10" strokeLinecap="round" />
      <rect x="152" y={high} width="9" height={Math.max(y(lowestMm) - high, 2)} fill={theme.good} />
      <g fontSize="16" fill={theme.ink}>
        <path d={`M120 ${y(0)}h46M120 ${y(lowestMm)}h46`} stroke={theme.ink} strokeWidth="2" />
        <text x="172" y={y(0) + 5}>
          MAX
        </text>
        <text x="172" y={y(lowestMm) + 5}>
          MIN
        </text>
        {highestMm > 0 && highestMm < lowestMm ? (
          <>
            <path d={`M24 ${high}h142`} stroke={theme.good} strokeWidth="3" strokeDasharray="8 4" />
            <text x="172" y={high + 5} fill={theme.good} fontWeight="650">
              for these pads
            </text>
          </>
        ) : null}
      </g>
    </Drawing>
  );
}
