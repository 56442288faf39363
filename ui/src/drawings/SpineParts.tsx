import type { Tokens } from "../kit/tokens";

const WIDTH = 56;
const HEIGHT = 84;
const MIDDLE = WIDTH / 2;
const TUBE = 7;

interface Drawn {
  theme: Tokens;
}

/** The reservoir at the head of the line. */
export function SpineCap({ theme }: Drawn) {
  return (
    <svg width={WIDTH} height={64} viewBox={`0 0 ${WIDTH} 64`} aria-hidden focusable="false">
      <path d="M8 10h40v34l-12 8H20L8 44Z" fill={theme.panel} stroke={theme.tube} strokeWidth="3" />
      <path d="M10 24h36v19l-11 7.500H21L10 43Z" fill={theme.fresh} />
      <path d="M5 9h46" stroke={theme.tube} strokeWidth="6" strokeLinecap="round" />
      <Tube theme={theme} from={52} to={64} filled />
    </svg>
  );
}

interface FittingProps extends Drawn {
  filledAbove: boolean;
  filledBelow: boolean;
  current: boolean;
  bubble: boolean;
}

/** A stage: a union nut on the line. Fluid stands as far as the work is finished; a bubble marks what is unresolved. */
export function SpineFitting({ theme, filledAbove, filledBelow, current, bubble }: FittingProps) {
  const y = HEIGHT / 2;
  return (
    <svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden focusable="false">
      <Tube theme={theme} from={0} to={y} filled={filledAbove} />
      <Tube theme={theme} from={y} to={HEIGHT} filled={filledBelow} />
      <path
        d={`M${MIDDLE - 15} ${y - 12}h30l4 12-4 12h-30l-4-12Z`}
        fill={filledBelow ? theme.fresh : theme.panel}
        stroke={current ? theme.ink : theme.tube}
        strokeWidth={current ? 4 : 3}
        strokeLinejoin="round"
      />
      {bubble ? (
        <g>
          <circle cx={MIDDLE} cy={y} r="8.500" fill={theme.panel} stroke={theme.stop} strokeWidth="3" />
          <path
            d={`M${MIDDLE - 3.5} ${y - 3.5}a5 5 0 0 1 4-1.500`}
            stroke={theme.stop}
            strokeWidth="2"
            fill="none"
          />
        </g>
      ) : null}
    </svg>
  );
}

/** The bleed nipple at the foot: open to the air only when the job is signed. */
export function SpineNipple({ theme, filled }: Drawn & { filled: boolean }) {
  return (
    <svg width={WIDTH} height={58} viewBox={`0 0 ${WIDTH} 58`} aria-hidden focusable="false">
      <Tube theme={theme} from={0} to={12} filled={filled} />
      <path
        d="M17 12h22v10H17ZM20 22h16v8h-4v10l-4 8-4-8V30h-4Z"
        fill={filled ? theme.fresh : theme.panel}
        stroke={theme.tube}
        strokeWidth="3"
        strokeLinejoin="round"
      />
    </svg>
  );
}

function Tube({ theme, from, to, filled }: Drawn & { from: number; to: number; filled: boolean }) {
  return (
    <>
      <path d={`M${MIDDLE} ${from}V${to}`} stroke={theme.tube} strokeWidth={TUBE * 2} />
      <path
        d={`M${MIDDLE} ${from}V${to}`}
        stroke={filled ? theme.fresh : theme.panel}
        strokeWidth={TUBE + 1}
      />
    </>
  );
}
