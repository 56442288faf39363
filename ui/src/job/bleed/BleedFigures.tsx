import styled from "styled-components";
import type { Bleed } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { Big, Quiet } from "../../kit/layout";

interface Props {
  bleed: Bleed;
  point: Bleed["points"][number];
  waiting: number;
}

const Pair = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 1rem;
  align-content: center;
`;

const Count = styled.div<{ $loud: boolean }>`
  border-radius: 0.5rem;
  padding: 0.8rem 1rem;
  background: ${(p) => (p.$loud ? p.theme.stopSoft : p.theme.sunk)};
  color: ${(p) => (p.$loud ? p.theme.stop : p.theme.ink)};
  p:last-child {
    font-size: 1.15rem;
    font-weight: 700;
  }
`;

const Foot = styled.div`
  grid-column: 1 / -1;
`;

/** The two numbers of a bleed, for reading at two metres. */
export function BleedFigures({ bleed, point, waiting }: Props) {
  const units = useUnits();
  const loud = bleed.reservoir.warning === "now" || bleed.reservoir.warning === "stop";
  return (
    <Pair>
      <Count $loud={loud && !bleed.finished} role="group" aria-label="Strokes to the next top-up">
        <Big $size="clamp(5rem, 13vw, 9.5rem)" data-figure="to-top-up">
          {bleed.reservoir.strokes_to_top_up}
        </Big>
        <p>{bleed.reservoir.strokes_to_top_up === 0 ? "Top up now" : "to the next top-up"}</p>
      </Count>
      <Count $loud={false} role="group" aria-label={`Strokes still to go at ${point.label}`}>
        <Big $size="clamp(5rem, 13vw, 9.5rem)" data-figure="to-go">
          {point.strokes_to_go}
        </Big>
        <p>still to go here</p>
      </Count>
      <Foot>
        <Quiet>
          <b data-figure="strokes">{point.strokes}</b> of {point.planned_strokes} strokes at {point.label},{" "}
          {units.bare("volume", point.passed_ml, 0)} of {units.say("volume", point.planned_ml, 0)}; the last{" "}
          {point.clean_strokes} without a bubble ({point.clean_wanted} wanted).{" "}
          {units.say("volume", bleed.plan.stroke_ml, 2)} a full stroke.
          {waiting > 2 ? ` ${waiting} entries still on the way.` : ""}
        </Quiet>
      </Foot>
    </Pair>
  );
}
