import styled, { useTheme } from "styled-components";
import type { NearMiss } from "../server/api";
import { size } from "../kit/format";

const WIDE = 360;
const TALL = 168;
/** Both bores in full, and their edges through a glass; pixels to a millimetre. */
const FULL_RADIUS = 62;
const GLASS = 190;
const GLASS_AT = 262;
const GLASS_RADIUS = 74;
const MIDDLE = 80;
/** The scale stands to the left of the edges, where nothing crosses it. */
const SCALE_AT = GLASS_AT - 35;

const Drawing = styled.svg`
  width: 100%;
  max-width: 26rem;
`;

/** A kit laid over the bore it is not for: to scale on the left, the edges magnified on the right. */
export function NearMissDrawing({ nearMiss }: { nearMiss: NearMiss }) {
  const theme = useTheme();
  const gap = Math.abs(nearMiss.hundredths / 100) * GLASS;
  const wall = GLASS_AT - gap / 2;
  const kit = nearMiss.effect === "jam" ? wall + gap : wall - gap;
  const lens = `near-miss-${nearMiss.hundredths}-${nearMiss.bore_mm}`.replaceAll(".", "-");
  return (
    <Drawing
      viewBox={`0 0 ${WIDE} ${TALL}`}
      role="img"
      aria-label={`Kit ${size(nearMiss.kit_mm)} mm on a bore of ${size(nearMiss.bore_mm)} mm: ${Math.abs(nearMiss.hundredths)} hundredths of a millimetre ${nearMiss.effect === "jam" ? "too large" : "too small"}.`}
    >
      <clipPath id={lens}>
        <circle cx={GLASS_AT} cy={MIDDLE} r={GLASS_RADIUS} />
      </clipPath>
      <circle cx="74" cy={MIDDLE} r={FULL_RADIUS} fill={theme.sunk} stroke={theme.ink} strokeWidth="3" />
      <circle
        cx="74"
        cy={MIDDLE}
        r={(FULL_RADIUS * nearMiss.kit_mm) / nearMiss.bore_mm}
        fill="none"
        stroke={theme.stop}
        strokeWidth="2"
        strokeDasharray="7 5"
      />
      <path d={`M74 ${MIDDLE}h-${FULL_RADIUS}M74 ${MIDDLE}h${FULL_RADIUS}`} stroke={theme.quiet} />
      <text x="74" y={MIDDLE - 8} textAnchor="middle" fontSize="15" fill={theme.ink}>
        {size(nearMiss.bore_mm)} mm
      </text>
      <path
        d={`M${74 + FULL_RADIUS} ${MIDDLE}L${GLASS_AT - GLASS_RADIUS} ${MIDDLE}`}
        stroke={theme.quiet}
        strokeDasharray="2 5"
      />
      <g clipPath={`url(#${lens})`}>
        <rect x="180" y="0" width={WIDE} height={TALL} fill={theme.panel} />
        <rect x={wall} y="0" width="150" height={TALL} fill={theme.sunk} />
        <rect
          x={Math.min(wall, kit)}
          y="0"
          width={Math.max(gap, 1)}
          height={TALL}
          fill={theme.stop}
          opacity="0.28"
        />
        <path d={`M${wall} 0V${TALL}`} stroke={theme.ink} strokeWidth="4" />
        <path d={`M${kit} 0V${TALL}`} stroke={theme.stop} strokeWidth="4" strokeDasharray="9 6" />
        <path d={`M${SCALE_AT - GLASS / 20} 90h${GLASS / 10}`} stroke={theme.ink} strokeWidth="3" />
      </g>
      <circle cx={GLASS_AT} cy={MIDDLE} r={GLASS_RADIUS} fill="none" stroke={theme.tube} strokeWidth="5" />
      <g
        fontSize="14"
        fill={theme.ink}
        textAnchor="middle"
        paintOrder="stroke"
        stroke={theme.panel}
        strokeWidth="4"
      >
        <text x={GLASS_AT} y="36">
          {(Math.abs(nearMiss.hundredths) / 100).toFixed(2)} mm
        </text>
        <text x={SCALE_AT} y="107" fontSize="14">
          0.1 mm
        </text>
      </g>
      <g fontSize="14" fill={theme.quiet} textAnchor="middle">
        <text x="74" y="163">
          solid: bore, dashed: kit
        </text>
      </g>
    </Drawing>
  );
}
