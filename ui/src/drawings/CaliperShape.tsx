import { useTheme } from "styled-components";
import { endSize, PISTON_SCALE, pistonSides } from "./endShape";
import type { EndShapeProps } from "./endShape";
import { numberOf, textOf } from "./partValue";

/** A caliper cut across its disc: pistons to scale on the sides they stand, nipples on top. */
export function CaliperShape({ part, x, y, fluid, isPicked, hasPocket }: EndShapeProps) {
  const theme = useTheme();
  const opposed = textOf(part, "build") === "opposed";
  const [near, far] = pistonSides(part);
  const { height } = endSize(part);
  const nipples = numberOf(part, "nipples");
  return (
    <g transform={`translate(${x} ${y})`}>
      <rect
        x="-54"
        y={-height / 2}
        width="108"
        height={height}
        rx="9"
        fill={theme.sunk}
        stroke={isPicked ? theme.focus : theme.tube}
        strokeWidth="4"
      />
      <rect x="-4" y={-height / 2 - 8} width="8" height={height + 34} fill={theme.line} />
      <Pistons fluid={fluid} diameters={near} height={height} left={-44} />
      {opposed ? (
        <Pistons fluid={fluid} diameters={far} height={height} left={14} />
      ) : (
        <path d={`M14 ${-height / 2 + 12}v${height - 24}`} stroke={theme.tube} strokeWidth="7" />
      )}
      {Array.from({ length: nipples }, (_, index) => (
        <g key={index} transform={`translate(${index === 0 ? 34 : -34} ${-height / 2})`}>
          <path d="M0 0v-7M-6-7H6M-4-7v-9h8v9" fill="none" stroke={theme.ink} strokeWidth="3.500" />
        </g>
      ))}
      {hasPocket ? (
        <path
          d={`M26 ${-height / 2 - 26}h16l-8-13Z`}
          fill={theme.panel}
          stroke={theme.stop}
          strokeWidth="3"
        />
      ) : null}
    </g>
  );
}

function Pistons({
  diameters,
  height,
  left,
  fluid,
}: {
  diameters: number[];
  height: number;
  left: number;
  fluid: string;
}) {
  const theme = useTheme();
  const total = diameters.reduce((sum, diameter) => sum + diameter * PISTON_SCALE, 0);
  const gap = (height - total) / (diameters.length + 1);
  const tops = diameters.map((_, index) =>
    diameters
      .slice(0, index)
      .reduce((sum, diameter) => sum + diameter * PISTON_SCALE + gap, gap - height / 2),
  );
  return diameters.map((diameter, index) => (
    <rect
      key={index}
      x={left}
      y={tops[index]}
      width="30"
      height={diameter * PISTON_SCALE}
      rx="2"
      fill={fluid}
      stroke={theme.ink}
      strokeWidth="2.500"
    />
  ));
}
