import { useTheme } from "styled-components";
import type { Balance, BalancePoint } from "../server/api";
import { useUnits } from "../server/useUnits";
import { figure } from "../kit/format";

interface Props {
  balance: Balance;
  point: BalancePoint;
}

const TOP = 46;
const LONG = 150;
const REST = 250;
/** Millimetres of piston stroke are drawn this much larger, so that a tilt of the bar can be seen. */
const STROKE = 6;
const BODY = 130;
/** Drawn height of a cylinder per millimetre of bore. */
const BORE = 2.4;

/** Pedal, bar and both cylinders from above: where the bearing stands, and what each side gives. */
export function BalanceBarDrawing({ balance, point }: Props) {
  const theme = useTheme();
  const units = useUnits();
  const fitted = balance.pairs.find((pair) => pair.fitted);
  const share = balance.share_percent / 100;
  const sides = [
    { name: balance.ends.front.name, side: point.front, bore: fitted?.front_bore_mm ?? 0, y: TOP },
    { name: balance.ends.rear.name, side: point.rear, bore: fitted?.rear_bore_mm ?? 0, y: TOP + LONG },
  ];
  const ends = sides.map(({ side, y }) => ({ x: REST + side.stroke_mm * STROKE, y }));
  const [front, rear] = ends as [(typeof ends)[number], (typeof ends)[number]];
  const bearing = { x: rear.x + share * (front.x - rear.x), y: rear.y + share * (front.y - rear.y) };
  return (
    <svg
      viewBox="0 0 760 250"
      role="img"
      aria-label={`Balance bar: ${figure(balance.share_percent, 0)} % of the push to ${balance.ends.front.name}, ${figure(point.front_percent, 0)} % of the brake force`}
      style={{ width: "100%", maxHeight: "16rem" }}
    >
      <path
        d={`M70 ${bearing.y}H${bearing.x - 14}`}
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
      <text x="8" y={bearing.y - 18} fontSize="20" fontWeight="650" fill={theme.ink}>
        {`Pedal ${figure(point.force_n, 0)} N`}
      </text>
      <path d={`M${front.x} ${front.y}L${rear.x} ${rear.y}`} stroke={theme.tube} strokeWidth="12" />
      <circle cx={bearing.x} cy={bearing.y} r="13" fill={theme.panel} stroke={theme.ink} strokeWidth="5" />
      {sides.map(({ name, side, bore, y }, index) => {
        const body = 330 + 18 * STROKE - 60;
        const half = (bore * BORE) / 2;
        const rod = ends[index]?.x ?? REST;
        return (
          <g key={name}>
            <path d={`M${rod} ${y}H${body + side.stroke_mm * STROKE}`} stroke={theme.ink} strokeWidth="6" />
            <rect
              x={body}
              y={y - half}
              width={BODY}
              height={2 * half}
              fill={theme.panel}
              stroke={theme.tube}
              strokeWidth="5"
            />
            <rect
              x={body + 8 + side.stroke_mm * STROKE}
              y={y - half + 4}
              width="14"
              height={2 * half - 8}
              fill={theme.ink}
            />
            <text x={body + BODY + 18} y={y - 10} fontSize="20" fontWeight="650" fill={theme.ink}>
              {`${name}, ${units.say("length", bore, 2)}`}
            </text>
            <text x={body + BODY + 18} y={y + 15} fontSize="18" fill={theme.ink}>
              {units.say("pressure", side.pressure_mpa, 2)}
            </text>
            <text x={body + BODY + 18} y={y + 38} fontSize="18" fill={theme.ink}>
              {`${figure(side.brake_n, 0)} N at the road`}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
