import { useTheme } from "styled-components";
import type { CircuitFigures } from "../server/api";
import type { MasterSize } from "./masterSize";

type ControlId = CircuitFigures["control"]["id"];

interface Props {
  control: ControlId;
  size: MasterSize;
  isPicked: boolean;
}

/** Arm and pad from where the pushrod meets them, and how far below it the pivot is. */
const SHAPES: Record<ControlId, { arm: string; pad: string; pivot: number }> = {
  bar_lever: { arm: "M0-26V8q4 20 34 24l52 6", pad: "", pivot: -26 },
  foot_lever: { arm: "M0 0V30l92 8", pad: "M74 26h36", pivot: 30 },
  pedal: { arm: "M0 42V0L12-56", pad: "M-8-64l40 10", pivot: 42 },
};

/** Bar lever, foot lever or pedal, each as what it is, with the pushrod. */
export function ControlShape({ control, size, isPicked }: Props) {
  const theme = useTheme();
  const { arm, pad, pivot } = SHAPES[control];
  return (
    <>
      <path d={`M${size.stroke / 2} 0H${size.pushed}`} stroke={theme.ink} strokeWidth="7" />
      <g
        transform={`translate(${size.pushed} 0)`}
        fill="none"
        stroke={isPicked ? theme.focus : theme.tube}
        strokeLinecap="round"
        strokeLinejoin="round"
      >
        <path d={arm} strokeWidth="13" />
        {pad ? <path d={pad} strokeWidth="12" stroke={theme.ink} /> : null}
        <circle cy={pivot} r="8" fill={theme.panel} stroke={theme.ink} strokeWidth="4" />
      </g>
    </>
  );
}
