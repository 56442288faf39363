import { scaleLinear } from "d3-scale";
import styled, { useTheme } from "styled-components";
import type { Sizing, SizingRow } from "../app/api";
import { sizeKey } from "../job/choose/SizingPanel";
import { size } from "../kit/format";
import { Axes } from "./Axes";

interface Props {
  sizing: Sizing;
  rows: SizingRow[];
  picked: string | undefined;
  onPick: (key: string) => void;
}

const WIDTH = 600;
const HEIGHT = 290;
const EDGE = { left: 58, right: 24, top: 18, bottom: 46 };

const Dot = styled.g`
  cursor: pointer;
`;

/** Room a label takes; of two dots nearer than this only the first is named. */
const LABEL = { width: 74, height: 17 };

const isFirst = (row: SizingRow, picked: string | undefined) => row.fitted || sizeKey(row) === picked;

/** Finger effort up, lever travel across; the wanted box; the fitted cylinder as a square, rejected ones crossed. */
export function SizingPlot({ sizing, rows, picked, onPick }: Props) {
  const theme = useTheme();
  const { target } = sizing;
  const travels = rows
    .map((row) => row.travel_mm)
    .concat(target.travel_mm + target.travel_tolerance_mm, target.travel_mm - target.travel_tolerance_mm);
  const efforts = rows
    .map((row) => row.force_n)
    .concat(target.effort_n + target.effort_tolerance_n, target.effort_n - target.effort_tolerance_n);
  const x = scaleLinear(
    [Math.max(0, Math.min(...travels) - 3), Math.max(...travels) + 3],
    [EDGE.left, WIDTH - EDGE.right],
  ).nice(6);
  const y = scaleLinear(
    [Math.max(0, Math.min(...efforts) - 10), Math.max(...efforts) + 10],
    [HEIGHT - EDGE.bottom, EDGE.top],
  ).nice(5);
  const ranked = [...rows].sort((a, b) => Number(isFirst(b, picked)) - Number(isFirst(a, picked)));
  const labelled = ranked.filter((row, index) =>
    ranked
      .slice(0, index)
      .every(
        (other) =>
          Math.abs(x(other.travel_mm) - x(row.travel_mm)) > LABEL.width ||
          Math.abs(y(other.force_n) - y(row.force_n)) > LABEL.height,
      ),
  );
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label="Effort against travel of every cylinder; the table below says the same"
    >
      <rect
        x={x(target.travel_mm - target.travel_tolerance_mm)}
        y={y(target.effort_n + target.effort_tolerance_n)}
        width={
          x(target.travel_mm + target.travel_tolerance_mm) - x(target.travel_mm - target.travel_tolerance_mm)
        }
        height={
          y(target.effort_n - target.effort_tolerance_n) - y(target.effort_n + target.effort_tolerance_n)
        }
        fill={theme.goodSoft}
        stroke={theme.good}
        strokeDasharray="7 5"
        strokeWidth="2"
      />
      <Axes
        x={x}
        y={y}
        edge={EDGE}
        width={WIDTH}
        height={HEIGHT}
        xLabel="Lever travel, mm"
        yLabel="Effort, N"
      />
      {rows.map((row) => {
        const key = sizeKey(row);
        const at = `translate(${x(row.travel_mm)} ${y(row.force_n)})`;
        return (
          <Dot key={key} transform={at} onClick={() => onPick(key)}>
            <circle r="20" fill="transparent" />
            {key === picked ? <circle r="14" fill="none" stroke={theme.focus} strokeWidth="3" /> : null}
            <Sign row={row} ink={row.rejected.length > 0 ? theme.stop : theme.act} ground={theme.panel} />
          </Dot>
        );
      })}
      {labelled.map((row) => (
        <text
          key={sizeKey(row)}
          x={x(row.travel_mm) + 12}
          y={y(row.force_n) - 9}
          fill={theme.ink}
          fontSize="14"
          fontWeight={row.fitted ? 700 : 400}
          pointerEvents="none"
        >
          {size(row.bore_mm)}×{size(row.push_offset_mm)}
        </text>
      ))}
    </svg>
  );
}

function Sign({ row, ink, ground }: { row: SizingRow; ink: string; ground: string }) {
  if (row.rejected.length > 0) return <path d="M-6-6 6 6M6-6-6 6" stroke={ink} strokeWidth="3.500" />;
  if (row.fitted) return <rect x="-8" y="-8" width="16" height="16" fill={ink} />;
  return <circle r="7" fill={row.front ? ink : ground} stroke={ink} strokeWidth="3" />;
}
