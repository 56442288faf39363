import { useTheme } from "styled-components";
import type { Balance, BalancePoint } from "../server/api";
import { figure } from "../kit/format";

interface Props {
  balance: Balance;
  point: BalancePoint;
}

const TOP = 30;
const LONG = 130;
const REST = 180;
/** Millimetres of piston stroke are drawn this much larger, so that a tilt of the bar can be seen. */
const STROKE = 6;
const BODY = { x: 300, wide: 130 };
/** Drawn height of a cylinder per millimetre of bore. */
const BORE = 2.4;

/** Pedal, bar and both cylinders from above: where the bearing stands, and how far each piston goes. */
export function BalanceBarDrawing({ balance, point }: Props) {
  const theme = useTheme();
  const fitted = balance.pairs.find((pair) => pair.fitted);
  const share = balance.share_percent / 100;
  const front = { x: REST + point.front.stroke_mm * STROKE, y: TOP, bore: fitted?.front_bore_mm ?? 0 };
  const rear = { x: REST + point.rear.stroke_mm * STROKE, y: TOP + LONG, bore: fitted?.rear_bore_mm ?? 0 };
  const bearing = { x: rear.x + share * (front.x - rear.x), y: rear.y + share * (front.y - rear.y) };
  return (
    <svg
      viewBox="0 0 440 190"
      role="img"
      aria-label={`Balance bar: ${figure(balance.share_percent, 0)} % of the push to ${balance.ends.front.name}, ${figure(point.front_percent, 0)} % of the brake force`}
      style={{ width: "100%", maxHeight: "14rem" }}
    >
      <path
        d={`M10 ${bearing.y}H${bearing.x - 14}`}
        stroke={theme.act}
        strokeWidth="12"
        strokeLinecap="round"
      />
      <path
        d={`M${bearing.x - 26} ${bearing.y - 15}l18 15-18 15`}
        fill="none"
        stroke={theme.act}
        strokeWidth="8"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      <path d={`M${front.x} ${front.y}L${rear.x} ${rear.y}`} stroke={theme.tube} strokeWidth="12" />
      <circle cx={bearing.x} cy={bearing.y} r="13" fill={theme.panel} stroke={theme.ink} strokeWidth="5" />
      {[front, rear].map(({ x, y, bore }) => (
        <Cylinder key={y} rod={x} y={y} bore={bore} />
      ))}
    </svg>
  );
}

/** A cylinder with its piston where the rod has pushed it. */
function Cylinder({ rod, y, bore }: { rod: number; y: number; bore: number }) {
  const theme = useTheme();
  const half = (bore * BORE) / 2;
  const piston = BODY.x + 8 + rod - REST;
  return (
    <g>
      <path d={`M${rod} ${y}H${piston}`} stroke={theme.ink} strokeWidth="6" />
      <rect
        x={BODY.x}
        y={y - half}
        width={BODY.wide}
        height={2 * half}
        fill="none"
        stroke={theme.tube}
        strokeWidth="5"
      />
      <rect x={piston} y={y - half + 4} width="14" height={2 * half - 8} fill={theme.ink} />
    </g>
  );
}
