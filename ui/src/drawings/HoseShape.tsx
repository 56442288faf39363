import { useTheme } from "styled-components";
import type { Hose } from "./circuitLayout";
import { pathOf } from "./hosePath";
import { textOf } from "./partValue";

interface Props {
  hose: Hose;
  fluid: string;
  isPicked: boolean;
}

/** A hose from its feeder down to what it feeds: bare for steel, ringed for braid. */
export function HoseShape({ hose, fluid, isPicked }: Props) {
  const theme = useTheme();
  const kind = textOf(hose.part, "kind");
  const path = pathOf(hose);
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
    </>
  );
}
