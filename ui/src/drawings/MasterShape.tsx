import { useTheme } from "styled-components";
import type { PartView } from "../server/api";
import { partName } from "../words/partNames";
import { labelLines } from "./partLabel";
import { PartLabel } from "./PartLabel";
import { numberOf, textOf } from "./partValue";
import { PartTarget } from "./PartTarget";

interface Props {
  at: { x: number; y: number };
  parts: PartView[];
  fluid: string;
  picked: string | undefined;
  onPick: (id: string) => void;
}

const LONGEST_STROKE = 60;

/** Reservoir over the master, its bore and piston to scale of one another, and the lever that pushes it. */
export function MasterShape({ at, parts, fluid, picked, onPick }: Props) {
  const theme = useTheme();
  const [master, lever, reservoir] = (["master", "lever", "reservoir"] as const).map((kind) =>
    parts.find((part) => part.part === kind),
  );
  const lines = (part: PartView | undefined) => (part ? labelLines(part, parts) : []);
  const bore = 14 + numberOf(master, "bore") * 1.1;
  const stroke = 70 + Math.min(numberOf(master, "stroke"), LONGEST_STROKE);
  const tone = (part: PartView | undefined) => (part && part.id === picked ? theme.focus : theme.tube);
  const target = (part: PartView | undefined) => ({
    name: part ? partName(part) : "",
    lines: lines(part),
    isPicked: part?.id === picked,
    onPick: () => part && onPick(part.id),
  });
  const remote = textOf(reservoir, "mount") === "remote";
  const tank = remote ? -150 : -40;
  return (
    <g transform={`translate(${at.x} ${at.y})`}>
      {remote ? (
        <path d="M-112-62C-80-40-60-60-20-34" fill="none" stroke={theme.tube} strokeWidth="9" />
      ) : null}
      <PartTarget {...target(reservoir)}>
        <path d={`M${tank - 6}-116h92`} stroke={tone(reservoir)} strokeWidth="9" strokeLinecap="round" />
        <path d={`M${tank}-110h80v56h-80Z`} fill={theme.panel} />
        <path d={`M${tank}-96h80v42h-80Z`} fill={fluid} />
        <path d={`M${tank}-110v56h80v-56`} fill="none" stroke={tone(reservoir)} strokeWidth="5" />
        {remote ? null : <path d="M-12-54v22M6-54v22" stroke={theme.tube} strokeWidth="4" />}
        <PartLabel x={tank - 16} y={-76} anchor="end" lines={lines(reservoir)} />
      </PartTarget>
      <PartTarget {...target(master)}>
        <rect
          x={-stroke / 2 - 14}
          y={-bore / 2 - 12}
          width={stroke + 28}
          height={bore + 24}
          rx="6"
          fill={theme.sunk}
          stroke={tone(master)}
          strokeWidth="4"
        />
        <rect x={-stroke / 2} y={-bore / 2} width={stroke} height={bore} fill={fluid} />
        <rect x={stroke / 2 - 34} y={-bore / 2} width="34" height={bore} fill={theme.tube} />
        <path d={`M${stroke / 2 - 34} ${-bore / 2}l-8 6v${bore - 12}l8 6Z`} fill={theme.ink} />
        <path d={`M0 ${bore / 2 + 12}v12`} stroke={theme.tube} strokeWidth="13" />
        <PartLabel x={-stroke / 2 - 28} y={26} anchor="end" lines={lines(master)} />
      </PartTarget>
      <PartTarget {...target(lever)}>
        <path d={`M${stroke / 2} 0h26`} stroke={theme.ink} strokeWidth="7" />
        <path
          d={`M${stroke / 2 + 30}-26V8q4 20 34 24l52 6`}
          fill="none"
          stroke={tone(lever)}
          strokeWidth="13"
          strokeLinecap="round"
          strokeLinejoin="round"
        />
        <circle cx={stroke / 2 + 30} cy="-26" r="8" fill={theme.panel} stroke={theme.ink} strokeWidth="4" />
        <PartLabel x={stroke / 2 + 52} y={-66} lines={lines(lever)} />
      </PartTarget>
    </g>
  );
}
