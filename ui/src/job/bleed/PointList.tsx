import styled from "styled-components";
import type { Bleed } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { Sign } from "../../kit/Mark";

interface Props {
  points: Bleed["points"];
  /** Counted in millilitres. */
  byMl: boolean;
  current: string;
  onPick: (id: string) => void;
  isDisabled: boolean;
}

const List = styled.ol`
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
`;

const Point = styled.button`
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 3rem;
  padding: 0.3rem 1rem;
  border: 2px solid ${(p) => p.theme.line};
  border-radius: 2rem;
  background: transparent;
  cursor: pointer;
  &[aria-current="step"] {
    border-color: ${(p) => p.theme.ink};
    font-weight: 700;
  }
  small {
    color: ${(p) => p.theme.quiet};
    font-size: 0.95rem;
  }
`;

/** Bleed points in the order they are taken. */
export function PointList({ points, byMl, current, onPick, isDisabled }: Props) {
  const units = useUnits();
  return (
    <List aria-label="Bleed points in order">
      {points.map((point, index) => (
        <li key={point.id}>
          <Point
            title={point.why}
            disabled={isDisabled}
            aria-current={point.id === current ? "step" : undefined}
            onClick={() => (point.id === current ? undefined : onPick(point.id))}
          >
            {point.done ? <Sign kind="good" /> : <small>{index + 1}.</small>}
            {point.label}{" "}
            <small>
              {point.done
                ? "clean"
                : `${byMl ? units.say("volume", point.ml_to_go, 0) : point.strokes_to_go} to go`}
            </small>
          </Point>
        </li>
      ))}
    </List>
  );
}
