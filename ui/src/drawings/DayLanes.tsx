import styled, { useTheme } from "styled-components";
import type { DayPlan } from "../server/api";
import { clockAt } from "../kit/format";

interface Props {
  plan: DayPlan;
  benches: number;
  minutes: number;
}

const Drawing = styled.svg`
  width: 100%;
`;

const LANE = 54;
const LEFT = 76;
const WIDTH = 900;

/** The day, a lane a bench: blocks of work, hatched where somebody put them by hand, a thin line through a wait. */
export function DayLanes({ plan, benches, minutes }: Props) {
  const theme = useTheme();
  const from = Date.parse(plan.from);
  const x = (minute: number) => LEFT + (minute / minutes) * (WIDTH - LEFT - 10);
  const hours: number[] = [];
  const first = 60 - (new Date(from).getMinutes() % 60);
  for (let minute = first % 60; minute <= minutes; minute += 60) hours.push(minute);
  const shown = hours.filter((_, index) => index % Math.max(Math.ceil(hours.length / 10), 1) === 0);
  const height = benches * LANE + 30;
  return (
    <Drawing
      viewBox={`0 0 ${WIDTH} ${height}`}
      role="img"
      aria-label={`Plan of the day: ${plan.slots
        .map(
          (slot) =>
            `bench ${slot.bench + 1} ${clockAt(from, slot.start)} to ${clockAt(from, slot.finish)} ${slot.machine.name}`,
        )
        .join("; ")}`}
    >
      <g fontSize="14" fill={theme.quiet} aria-hidden>
        {shown.map((minute) => (
          <g key={minute}>
            <path d={`M${x(minute)} 0V${height - 24}`} stroke={theme.line} />
            <text x={x(minute)} y={height - 6} textAnchor="middle">
              {clockAt(from, minute)}
            </text>
          </g>
        ))}
        {Array.from({ length: benches }, (_, bench) => (
          <text key={bench} x="0" y={bench * LANE + 32} fontWeight="650" fill={theme.ink}>
            {`Bench ${bench + 1}`}
          </text>
        ))}
      </g>
      {plan.slots.map((slot) => {
        const width = Math.max(x(slot.finish) - x(slot.start), 4);
        const top = slot.bench * LANE + 6;
        return (
          <g key={`${slot.id}${slot.piece}`}>
            {slot.wait > 0 ? (
              <path
                d={`M${x(slot.finish)} ${top + 21}H${x(slot.finish + slot.wait)}`}
                stroke={theme.act}
                strokeWidth="3"
                strokeDasharray="4 4"
              />
            ) : null}
            <rect
              x={x(slot.start)}
              y={top}
              width={width}
              height={42}
              rx="6"
              fill={theme.actSoft}
              stroke={slot.moved ? theme.focus : theme.act}
              strokeWidth={slot.moved ? 4 : 2}
            />
            <svg x={x(slot.start) + 6} y={top} width={Math.max(width - 10, 0)} height="42">
              <text y="18" fontSize="14" fontWeight="650" fill={theme.ink}>
                {slot.machine.name}
              </text>
              <text y="35" fontSize="13" fill={theme.quiet}>
                {slot.circuit.name}
              </text>
            </svg>
          </g>
        );
      })}
    </Drawing>
  );
}
