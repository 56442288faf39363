import type { KeyboardEvent } from "react";
import styled, { useTheme } from "styled-components";
import type { Place } from "../server/api";
import { layOutPlaces } from "./placeLayout";
import type { Spot } from "./placeLayout";

interface Props {
  places: Place[];
  /** Those that can be picked, in the order of their numbers. */
  candidates: Place[];
  /** Ids of those that are picked. */
  at: string[];
  onPick?: ((id: string) => void) | undefined;
}

const RADIUS = 15;

const Target = styled.g`
  cursor: pointer;
  outline-offset: 4px;
`;

/** A plan of the circuit, master at the left; what can be picked carries its number in the list beside it. */
export function PlaceMap({ places, candidates, at, onPick }: Props) {
  const theme = useTheme();
  const { width, height, master, spots, runs } = layOutPlaces(places);
  const numbered = new Map(candidates.map((place, index) => [place.id, index + 1]));
  const marked = spots.filter(({ place }) => numbered.has(place.id) || at.includes(place.id));
  const ends = spots.filter(({ place }) => place.kind === "far_end");
  return (
    <svg viewBox={`0 0 ${width} ${height}`} role="group" aria-label="Where on the circuit" fontSize={13}>
      {runs.map(({ line, from, to }) => (
        <path
          key={line.id}
          d={`M${from.x},${from.y} C${(from.x + to.x) / 2},${from.y} ${(from.x + to.x) / 2},${to.y} ${to.x},${to.y}`}
          fill="none"
          stroke={at.includes(line.id) ? theme.act : theme.tube}
          strokeWidth={at.includes(line.id) ? 7 : 4}
        />
      ))}
      <rect
        x={master.x - 80}
        y={master.y - 14}
        width={80}
        height={28}
        rx={6}
        fill={theme.sunk}
        stroke={theme.ink}
      />
      <text x={master.x - 46} y={master.y + 5} textAnchor="middle" fill={theme.ink}>
        Master
      </text>
      {ends.map(({ place, x, y }) => (
        <g key={place.id}>
          <rect
            x={x - 30}
            y={y - 20}
            width={60}
            height={36}
            rx={8}
            fill={at.includes(place.id) ? theme.actSoft : theme.sunk}
            stroke={theme.ink}
          />
          <text x={x} y={y + 32} textAnchor="middle" fill={theme.ink}>
            {place.label}
          </text>
        </g>
      ))}
      {marked.map((spot) => (
        <Mark
          key={spot.place.id}
          spot={spot}
          number={numbered.get(spot.place.id)}
          isPicked={at.includes(spot.place.id)}
          onPick={onPick}
        />
      ))}
    </svg>
  );
}

interface MarkProps {
  spot: Spot;
  number: number | undefined;
  isPicked: boolean;
  onPick: ((id: string) => void) | undefined;
}

function Mark({ spot: { place, x, y }, number, isPicked, onPick }: MarkProps) {
  const theme = useTheme();
  const pick = () => onPick?.(place.id);
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key !== "Enter" && event.key !== " ") return;
    event.preventDefault();
    pick();
  };
  const dot = (
    <>
      <circle
        cx={x}
        cy={y}
        r={RADIUS}
        fill={isPicked ? theme.act : theme.panel}
        stroke={isPicked ? theme.act : theme.ink}
        strokeWidth={2}
      />
      <text x={x} y={y + 5} textAnchor="middle" fontWeight={700} fill={isPicked ? theme.onAct : theme.ink}>
        {number ?? "•"}
      </text>
    </>
  );
  return onPick && number ? (
    <Target
      role="button"
      tabIndex={0}
      aria-pressed={isPicked}
      aria-label={`${place.label}, on the plan`}
      onClick={pick}
      onKeyDown={onKeyDown}
    >
      {dot}
    </Target>
  ) : (
    <g aria-label={place.label} role="img">
      {dot}
    </g>
  );
}
