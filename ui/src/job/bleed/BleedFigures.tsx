import styled from "styled-components";
import type { Bleed } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { Big, Quiet } from "../../kit/layout";
import { PHONE } from "../../kit/tokens";

interface Props {
  bleed: Bleed;
  point: Bleed["points"][number];
  waiting: number;
}

const Pair = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0.8rem;
  align-content: center;
  @media ${PHONE} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Count = styled.div<{ $loud: boolean }>`
  border-radius: 0.5rem;
  padding: 0.8rem 0.9rem;
  background: ${(p) => (p.$loud ? p.theme.stopSoft : p.theme.sunk)};
  color: ${(p) => (p.$loud ? p.theme.stop : p.theme.ink)};
  p:last-child {
    font-size: 1.15rem;
    font-weight: 700;
    line-height: 1.2;
  }
`;

const Foot = styled.div`
  grid-column: 1 / -1;
`;

const SIZE = "clamp(4.5rem, 8.5vw, 7rem)";

/** The two numbers of a bleed, for reading at two metres: strokes, or millilitres where the way is counted in them. */
export function BleedFigures({ bleed, point, waiting }: Props) {
  const units = useUnits();
  const byMl = bleed.method.by_ml;
  const loud = bleed.reservoir.warning === "now" || bleed.reservoir.warning === "stop";
  const ml = (value: number) => units.bare("volume", value, 0);
  const toRefill = byMl ? ml(bleed.reservoir.ml_to_top_up) : String(bleed.reservoir.strokes_to_top_up);
  const isDue = byMl ? bleed.reservoir.ml_to_top_up <= 0 : bleed.reservoir.strokes_to_top_up === 0;
  const unit = units.unit("volume");
  return (
    <Pair>
      <Count
        $loud={loud && !bleed.finished}
        role="group"
        aria-label={byMl ? `${unit} to the next refill` : "Strokes to the next top-up"}
      >
        <Big $size={SIZE} data-figure="to-top-up">
          {toRefill}
        </Big>
        <p>
          {isDue
            ? `${byMl ? bleed.method.refill : "Top up"} now`
            : `${byMl ? `${unit} ` : ""}to the next ${bleed.method.supply === "reservoir" ? "top-up" : "refill"}`}
        </p>
      </Count>
      <Count
        $loud={false}
        role="group"
        aria-label={`${byMl ? unit : "Strokes"} still to go at ${point.label}`}
      >
        <Big $size={SIZE} data-figure="to-go">
          {byMl ? ml(point.ml_to_go) : point.strokes_to_go}
        </Big>
        <p>{byMl ? `${unit} still to go here` : "still to go here"}</p>
      </Count>
      <Foot>
        <Quiet>
          {byMl ? null : (
            <>
              <b data-figure="strokes">{point.strokes}</b>
              {` of ${point.planned_strokes} strokes at ${point.label}, `}
            </>
          )}
          <span data-figure="passed">{ml(point.passed_ml)}</span>
          {` of ${units.say("volume", point.planned_ml, 0)}${byMl ? ` at ${point.label}` : ""}; the last `}
          {byMl
            ? `${ml(point.clean_ml)} without a bubble (${units.say("volume", point.clean_ml_wanted, 0)} wanted).`
            : `${point.clean_strokes} without a bubble (${point.clean_wanted} wanted).`}
          {bleed.method.both
            ? ` ${ml(bleed.in_ml)} in below, ${units.say("volume", bleed.out_ml, 0)} out above.`
            : ""}
          {waiting > 2 ? ` ${waiting} entries still on the way.` : ""}
        </Quiet>
      </Foot>
    </Pair>
  );
}
