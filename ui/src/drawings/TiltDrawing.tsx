import { useTheme } from "styled-components";
import type { Fit } from "../server/api";

interface Props {
  room: NonNullable<Fit["reservoir"]>;
}

const WIDE = 220;

/** The reservoir from the side, to scale, tilted as it hangs, its port on the high side; the fluid stays level. */
export function TiltDrawing({ room }: Props) {
  const theme = useTheme();
  const tilt = room.tilt_deg ?? 0;
  const scale = WIDE / 2 / (room.half_mm * 1.35);
  const half = room.half_mm * scale;
  const height = room.height_mm * scale;
  const wall = Math.max(height * 1.35, 40);
  const port = room.port_offset_mm * scale;
  const isCovered = room.covered !== false;
  const floor = half * 0.2 + wall;
  const top = -Math.sin((tilt * Math.PI) / 180) * half;
  return (
    <svg
      viewBox={`${-WIDE / 2 - 20} ${Math.min(top, 0) - 20} ${WIDE + 40} ${floor - top + half * 0.6 + 40}`}
      role="img"
      aria-label={`Reservoir at ${tilt}°: port ${isCovered ? "covered" : "uncovered"}`}
      style={{ width: "100%", maxHeight: "13rem" }}
    >
      <defs>
        <clipPath id="tilted-reservoir">
          <rect x={-half} y="0" width={2 * half} height={wall} transform={`rotate(${-tilt} 0 ${wall})`} />
        </clipPath>
      </defs>
      <g clipPath="url(#tilted-reservoir)">
        <rect x={-WIDE} y={wall - height} width={2 * WIDE} height={height + 2 * WIDE} fill={theme.fresh} />
      </g>
      <g transform={`rotate(${-tilt} 0 ${wall})`}>
        <path
          d={`M${-half} 0V${wall}H${half}V0`}
          fill="none"
          stroke={theme.tube}
          strokeWidth="5"
          strokeLinejoin="round"
        />
        <path d={`M${-half} 0H${half}`} stroke={theme.quiet} strokeWidth="2" strokeDasharray="6 5" />
        <circle
          cx={port - (port === half ? 6 : 0)}
          cy={wall}
          r="6"
          fill={isCovered ? theme.good : theme.stop}
        />
      </g>
      <text x={WIDE / 2 + 10} y={wall - height - 6} textAnchor="end" fontSize="14" fill={theme.ink}>
        {`${tilt}°`}
      </text>
    </svg>
  );
}
