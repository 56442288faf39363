import { useTheme } from "styled-components";
import type { Hose, Point } from "./circuitLayout";
import { PartLabel } from "./PartLabel";
import { textOf } from "./partValue";

interface Props {
  hose: Hose;
  fluid: string;
  lines: string[];
  isPicked: boolean;
}

/** A hose from its feeder down to what it feeds: bare for steel, ringed for braid, with its length. */
export function HoseShape({ hose, fluid, lines, isPicked }: Props) {
  const theme = useTheme();
  const { from, to, part } = hose;
  const kind = textOf(part, "kind");
  const path = hose.peak ? overPeak(from, hose.peak, to) : straightDown(from, to);
  const toLeft = to.x < from.x;
  return (
    <>
      <path d={path} fill="none" stroke="transparent" strokeWidth="34" />
      <path d={path} fill="none" stroke={isPicked ? theme.focus : theme.tube} strokeWidth="13" />
      <path d={path} fill="none" stroke={fluid} strokeWidth="5" />
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
      {hose.peak ? (
        <g>
          <circle
            cx={hose.peak.x}
            cy={hose.peak.y}
            r="13"
            fill={theme.panel}
            stroke={theme.stop}
            strokeWidth="3.500"
          />
          <circle
            cx={hose.peak.x - 3}
            cy={hose.peak.y + 2}
            r="4"
            fill="none"
            stroke={theme.stop}
            strokeWidth="2"
          />
          <circle
            cx={hose.peak.x + 4}
            cy={hose.peak.y - 4}
            r="2.500"
            fill="none"
            stroke={theme.stop}
            strokeWidth="2"
          />
        </g>
      ) : null}
      <PartLabel
        x={to.x + (toLeft ? -18 : 18)}
        y={to.y - 32}
        anchor={toLeft ? "end" : "start"}
        lines={lines}
      />
    </>
  );
}

function straightDown(from: Point, to: Point): string {
  const bend = Math.max(40, (to.y - from.y) * 0.55);
  return `M${from.x} ${from.y}C${from.x} ${from.y + bend} ${to.x} ${to.y - bend} ${to.x} ${to.y}`;
}

function overPeak(from: Point, peak: Point, to: Point): string {
  const reach = (to.x - from.x) / 4 || 40;
  return `M${from.x} ${from.y}C${from.x} ${from.y + 40} ${peak.x - reach} ${peak.y} ${peak.x} ${peak.y}S${to.x} ${to.y - 40} ${to.x} ${to.y}`;
}
