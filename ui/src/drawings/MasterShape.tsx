import { useTheme } from "styled-components";
import type { MasterSize } from "./masterSize";

interface Props {
  size: MasterSize;
  fluid: string;
  isPicked: boolean;
}

/** The master cylinder cut open, from its middle: bore and piston to scale of one another. */
export function MasterShape({ size: { bore, stroke }, fluid, isPicked }: Props) {
  const theme = useTheme();
  return (
    <>
      <rect
        x={-stroke / 2 - 14}
        y={-bore / 2 - 12}
        width={stroke + 28}
        height={bore + 24}
        rx="6"
        fill={theme.sunk}
        stroke={isPicked ? theme.focus : theme.tube}
        strokeWidth="4"
      />
      <rect x={-stroke / 2} y={-bore / 2} width={stroke} height={bore} fill={fluid} />
      <rect x={stroke / 2 - 34} y={-bore / 2} width="34" height={bore} fill={theme.tube} />
      <path d={`M${stroke / 2 - 34} ${-bore / 2}l-8 6v${bore - 12}l8 6Z`} fill={theme.ink} />
      <path d={`M0 ${bore / 2 + 12}v12`} stroke={theme.tube} strokeWidth="13" />
    </>
  );
}

/** The reservoir on the master, or away from it on a hose. */
export function ReservoirShape({ size: { tank, isRemote }, fluid, isPicked }: Props) {
  const theme = useTheme();
  const tone = isPicked ? theme.focus : theme.tube;
  return (
    <>
      {isRemote ? (
        <path d="M-112-62C-80-40-60-60-20-34" fill="none" stroke={theme.tube} strokeWidth="9" />
      ) : (
        <path d="M-12-54v22M6-54v22" stroke={theme.tube} strokeWidth="4" />
      )}
      <path d={`M${tank - 6}-116h92`} stroke={tone} strokeWidth="9" strokeLinecap="round" />
      <path d={`M${tank}-110h80v56h-80Z`} fill={theme.panel} />
      <path d={`M${tank}-96h80v42h-80Z`} fill={fluid} />
      <path d={`M${tank}-110v56h80v-56`} fill="none" stroke={tone} strokeWidth="5" />
    </>
  );
}
