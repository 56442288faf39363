import { scaleLinear } from "d3-scale";
import { line } from "d3-shape";
import { useState } from "react";
import type { KeyboardEvent, Ref } from "react";
import styled, { useTheme } from "styled-components";
import type { Sizing, SizingRow } from "../server/api";
import { useUnits } from "../server/useUnits";
import { figure } from "../kit/format";
import { rowName } from "../words/cylinderNames";
import { Axes } from "./Axes";
import { useArea, type Area } from "./useArea";

interface Props {
  sizing: Sizing;
  picked: string[];
  onPick: (key: string) => void;
  ref?: Ref<SVGSVGElement>;
}

const LARGE: Area = { width: 600, height: 300, left: 58, right: 24, top: 18, bottom: 46 };
/** Room a label takes; of two dots nearer than this only the first is named. */
const LABEL = { width: 74, height: 17 };
const STEPS: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };

const Dot = styled.g`
  cursor: pointer;
`;

/** Effort up, travel across: the wanted box, the fitted cylinder square, rejected ones crossed, the front joined up. Tab
 * comes to the nearest dot, arrows go along the travel, Enter picks. */
export function SizingPlot({ sizing, picked, onPick, ref }: Props) {
  const area = useArea(LARGE);
  const theme = useTheme();
  const units = useUnits();
  const [at, setAt] = useState<string>();
  const { target, rows } = sizing;
  const travel = (mm: number) => units.amount("length", mm);
  const box = {
    left: travel(target.travel_mm - target.travel_tolerance_mm),
    right: travel(target.travel_mm + target.travel_tolerance_mm),
    top: target.effort_n + target.effort_tolerance_n,
    bottom: target.effort_n - target.effort_tolerance_n,
  };
  const travels = [...rows.map((row) => travel(row.travel_mm)), box.left, box.right];
  const efforts = [...rows.map((row) => row.force_n), box.top, box.bottom];
  const pad = travel(3);
  const x = scaleLinear(
    [Math.max(0, Math.min(...travels) - pad), Math.max(...travels) + pad],
    [area.left, area.width - area.right],
  ).nice(6);
  const y = scaleLinear(
    [Math.max(0, Math.min(...efforts) - 10), Math.max(...efforts) + 10],
    [area.height - area.bottom, area.top],
  ).nice(5);
  const place = (row: SizingRow) => [x(travel(row.travel_mm)), y(row.force_n)] as const;
  const along = [...rows].sort((a, b) => a.travel_mm - b.travel_mm);
  const active = rows.find((row) => row.key === at)?.key ?? rows[0]?.key;

  const onKeyDown = (event: KeyboardEvent<SVGGElement>, row: SizingRow) => {
    const step = STEPS[event.key];
    if (event.key === "Enter" || event.key === " ") onPick(row.key);
    else if (step !== undefined) {
      const next = along[along.indexOf(row) + step];
      if (!next) return;
      setAt(next.key);
      event.currentTarget.ownerSVGElement?.querySelector<SVGGElement>(`[data-key="${next.key}"]`)?.focus();
    } else return;
    event.preventDefault();
  };
  const front = line<SizingRow>(
    (row) => place(row)[0],
    (row) => place(row)[1],
  )(along.filter((row) => row.front));
  return (
    <svg
      ref={ref}
      viewBox={`0 0 ${area.width} ${area.height}`}
      role="group"
      aria-label="Effort against travel of every cylinder; the table below says the same"
    >
      <rect
        x={x(box.left)}
        y={y(box.top)}
        width={x(box.right) - x(box.left)}
        height={y(box.bottom) - y(box.top)}
        fill={theme.goodSoft}
        stroke={theme.good}
        strokeDasharray="7 5"
        strokeWidth="2"
      />
      <Axes x={x} y={y} area={area} xLabel={`Travel, ${units.unit("length")}`} yLabel="Effort, N" />
      <path d={front ?? ""} fill="none" stroke={theme.act} strokeWidth="1.500" opacity="0.6" />
      {along.map((row) => (
        <Dot
          key={row.key}
          data-key={row.key}
          role="button"
          tabIndex={row.key === active ? 0 : -1}
          aria-pressed={picked.includes(row.key)}
          aria-label={`${rowName(row)}: ${figure(row.force_n, 0)} N, ${units.say("length", row.travel_mm, 1)}${row.rejected.length > 0 ? ", rejected" : ""}`}
          transform={`translate(${place(row).join(" ")})`}
          onClick={() => onPick(row.key)}
          onKeyDown={(event) => onKeyDown(event, row)}
        >
          <circle r={rows.length > 40 ? 6 : 18} fill="transparent" />
          {picked.includes(row.key) ? (
            <circle r="13" fill="none" stroke={theme.focus} strokeWidth="3" />
          ) : null}
          <Sign
            row={row}
            small={rows.length > 40}
            ink={row.rejected.length > 0 ? theme.stop : theme.act}
            ground={theme.panel}
          />
        </Dot>
      ))}
      {named(rows, picked, place).map((row) => (
        <text
          key={row.key}
          aria-hidden
          x={place(row)[0] + 12}
          y={place(row)[1] - 9}
          fill={theme.ink}
          stroke={theme.panel}
          strokeWidth="3"
          paintOrder="stroke"
          fontSize="14"
          fontWeight={row.fitted ? 700 : 400}
          pointerEvents="none"
        >
          {rowName(row).replaceAll(" × ", "×")}
        </text>
      ))}
    </svg>
  );
}

/** Rows that have room for their name: fitted and picked ones first. */
function named(
  rows: SizingRow[],
  picked: string[],
  place: (row: SizingRow) => readonly [number, number],
): SizingRow[] {
  const isFirst = (row: SizingRow) => Number(row.fitted || picked.includes(row.key));
  return [...rows]
    .sort((a, b) => isFirst(b) - isFirst(a))
    .reduce<SizingRow[]>((kept, row) => {
      const [left, top] = place(row);
      const isFree = kept.every((other) => {
        const [otherLeft, otherTop] = place(other);
        return Math.abs(otherLeft - left) > LABEL.width || Math.abs(otherTop - top) > LABEL.height;
      });
      return isFree ? [...kept, row] : kept;
    }, []);
}

function Sign({ row, small, ink, ground }: { row: SizingRow; small: boolean; ink: string; ground: string }) {
  if (row.rejected.length > 0)
    return (
      <path
        d={small ? "M-3-3 3 3M3-3-3 3" : "M-6-6 6 6M6-6-6 6"}
        stroke={ink}
        strokeWidth={small ? 2 : 3.5}
      />
    );
  if (row.fitted) return <rect x="-8" y="-8" width="16" height="16" fill={ink} />;
  return (
    <circle r={small ? 4 : 7} fill={row.front ? ink : ground} stroke={ink} strokeWidth={small ? 2 : 3} />
  );
}
