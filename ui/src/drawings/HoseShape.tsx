import { useTheme } from "styled-components";
import type { Hose } from "./circuitLayout";
import { PartLabel } from "./PartLabel";
import { textOf } from "./partValue";

/** A hose from its feeder down to what it feeds: bare for steel, ringed for braid, with its length. */
export function HoseShape({ hose, lines, isPicked }: { hose: Hose; lines: string[]; isPicked: boolean }) {
  const theme = useTheme();
  const { from, to, part } = hose;
  const kind = textOf(part, "kind");
  const bend = (to.y - from.y) * 0.55;
  const path = `M${from.x} ${from.y}C${from.x} ${from.y + bend} ${to.x} ${to.y - bend} ${to.x} ${to.y}`;
  const toLeft = to.x < from.x;
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
      <PartLabel
        x={to.x + (toLeft ? -18 : 18)}
        y={to.y - 32}
        anchor={toLeft ? "end" : "start"}
        lines={lines}
      />
    </>
  );
}
