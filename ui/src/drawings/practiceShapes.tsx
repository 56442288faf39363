import { useTheme } from "styled-components";

/** The master: its feed from the reservoir, its body, the handlebar under the lever, and the start of the line. */
export function PracticeMaster({ y, to }: { y: number; to: number }) {
  const theme = useTheme();
  const way = `M75 68L75 ${y}L${to} ${y}`;
  return (
    <>
      <path d={way} fill="none" stroke={theme.tube} strokeWidth="14" />
      <path d={way} fill="none" stroke={theme.fresh} strokeWidth="8" />
      <path d={`M-6 ${y + 62}H64`} stroke={theme.tube} strokeWidth="20" strokeLinecap="round" />
      <path d={`M64 ${y + 62}L70 ${y + 12}`} stroke={theme.tube} strokeWidth="8" />
      <rect
        x="62"
        y={y - 13}
        width="60"
        height="26"
        rx="6"
        fill={theme.panel}
        stroke={theme.tube}
        strokeWidth="4"
      />
      <rect x="80" y={y - 7} width="36" height="14" fill={theme.fresh} />
    </>
  );
}

/** The lever about its pivot at 75, with the two fingers that pull it. */
export function LeverInHand() {
  const theme = useTheme();
  return (
    <>
      <path d="M75-6L24-4Q2-3 4 6Q6 14 22 9L75 6Z" fill={theme.ink} />
      <circle cx="75" r="5" fill={theme.panel} stroke={theme.ink} strokeWidth="3" />
      {[14, 32].map((left) => (
        <rect
          key={left}
          x={left}
          y="-15"
          width="14"
          height="30"
          rx="7"
          fill={theme.warnSoft}
          stroke={theme.ink}
          strokeWidth="2.5"
        />
      ))}
    </>
  );
}

interface FarEndProps {
  isOpen: boolean;
  /** Its nipple is the one that is worked. */
  isWorked: boolean;
}

/** The far end under its nipple: body, bore and piston. */
export function FarEnd({ isOpen, isWorked }: FarEndProps) {
  const theme = useTheme();
  return (
    <>
      <path
        d="M-18 8H18V44H10V30H-10V44H-18Z"
        fill={theme.panel}
        stroke={theme.tube}
        strokeWidth="4"
        strokeLinejoin="round"
      />
      <path d="M-8 30H8V46H-8Z" fill={theme.tube} />
      <path d="M-8 20H8V30H-8Z" fill={theme.fresh} />
      <circle
        r="11"
        fill={isOpen ? theme.focus : theme.panel}
        stroke={isWorked ? theme.focus : theme.tube}
        strokeWidth="5"
      />
    </>
  );
}
