import { useTheme } from "styled-components";
import type { Hose } from "./circuitLayout";
import { textOf } from "./partValue";

/** A hose from its feeder down to what it feeds: bare for steel, ringed for braid, with its length. */
export function HoseShape({ hose, isPicked }: { hose: Hose; isPicked: boolean }) {
  const theme = useTheme();
  const { from, to, part } = hose;
  const kind = textOf(part, "kind");
  const bend = (to.y - from.y) * 0.55;
  const path = `M${from.x} ${from.y}C${from.x} ${from.y + bend} ${to.x} ${to.y - bend} ${to.x} ${to.y}`;
  const toLeft = to.x < from.x;
  const label = { x: to.x + (toLeft ? -18 : 18), y: to.y - 32 };
  return (
    <>
      <path d={path} fill="none" stroke="transparent" strokeWidth="34" />
      <path d={path} fill="none" stroke={isPicked ? theme.focus : theme.tube} strokeWidth="13" />
      <path d={path} fill="none" stroke={theme.fresh} strokeWidth="5" />
      {kind.startsWith("braided") ? (
        <path
          d={path}
          fill="none"
          stroke={theme.panel}
          strokeWidth="13"
          strokeDasharray="1.500 7"
          opacity="0.75"
        />
      ) : null}
      <text x={label.x} y={label.y} textAnchor={toLeft ? "end" : "start"} fontSize="16" fill={theme.ink}>
        <tspan fontWeight="650">{textOf(part, "length")} mm</tspan>
        <tspan x={label.x} dy="19" fill={theme.quiet}>
          {kind.replace("_", " ")}, {textOf(part, "bore")} mm bore
        </tspan>
      </text>
    </>
  );
}
