import type { CircuitFigures } from "../server/api";
import { useUnits } from "../server/useUnits";
import { figure } from "../kit/format";
import { Quiet } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { partName } from "../words/partNames";
import { capital } from "../words/capital";

/** What the drawing marks, in words. */
export function CircuitWarnings({ figures }: { figures: CircuitFigures }) {
  const units = useUnits();
  const named = (id: string) => {
    const part = figures.parts.find((each) => each.id === id);
    return part ? partName(part) : id;
  };
  const age = figures.fluid_age_years;
  return (
    <>
      {figures.heights.high_spots.map((spot) => (
        <Notice key={spot.line} tone="warn">
          {named(spot.line)} stands {units.say("length", spot.height_mm, 0)} high, {spot.why}.
        </Notice>
      ))}
      {figures.pockets.map((pocket) => (
        <Notice key={pocket.part} tone="warn">
          {named(pocket.part)}: the bleed port is {figure(pocket.angle_deg, 0)}° off the top.{" "}
          {units.say("volume", pocket.air_ml, 2)} of air stays behind unless the caliper is turned.
        </Notice>
      ))}
      <Quiet>
        Fluid {figures.fluid_said}
        {age === undefined
          ? ""
          : `, ${figure(age, 1)} years (an estimate: colour alone never passes a fluid)`}
        .
        {figures.junctions
          .map(
            (junction) =>
              ` ${capital(junction.kind)} of ${junction.hoses} hoses at ${named(junction.at)}, ${junction.washers} washers.`,
          )
          .join("")}
      </Quiet>
    </>
  );
}
