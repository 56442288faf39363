import { useTheme } from "styled-components";
import type { EndShapeProps } from "./endShape";
import { numberOf } from "./partValue";

/** A clutch slave with its piston and pushrod. */
export function SlaveShape({ part, x, y, fluid, isPicked }: EndShapeProps) {
  const theme = useTheme();
  const bore = 18 + numberOf(part, "bore");
  return (
    <g transform={`translate(${x} ${y})`}>
      <rect
        x="-52"
        y={-bore / 2 - 10}
        width="92"
        height={bore + 20}
        rx="7"
        fill={theme.sunk}
        stroke={isPicked ? theme.focus : theme.tube}
        strokeWidth="4"
      />
      <rect x="-40" y={-bore / 2} width="42" height={bore} fill={fluid} />
      <rect x="2" y={-bore / 2} width="32" height={bore} fill={theme.tube} />
      <path d="M34 0h62" stroke={theme.ink} strokeWidth="9" strokeLinecap="round" />
      <path d={`M-30 ${-bore / 2 - 10}v-8M-36 ${-bore / 2 - 18}h12`} stroke={theme.ink} strokeWidth="3.500" />
    </g>
  );
}
