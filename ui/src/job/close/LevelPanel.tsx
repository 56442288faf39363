import { LevelDrawing } from "../../drawings/LevelDrawing";
import { Saved } from "../../kit/Saved";
import { Quiet, Row } from "../../kit/layout";
import { Room } from "../../kit/Rooms";
import { Notice } from "../../kit/Notice";
import type { Close } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { MeasuredLength } from "../MeasuredLength";
import { Fault } from "./Fault";

interface Props {
  level: NonNullable<Close["level"]>;
  isOpen: boolean;
  onWorn: (part: string, depth: string) => void;
  onLevel: (below: string) => void;
}

/** How high the reservoir may be filled, so that new pads have room to push back into. */
export function LevelPanel({ level, isOpen, onWorn, onLevel }: Props) {
  const units = useUnits();
  const { highest_below_mm: highest = 0, lowest_below_mm: lowest = 0, pushback_ml: pushback = 0 } = level;
  const reading = (label: string) => (
    <MeasuredLength label={label} name="level" value={level.below_mm} decimals={1} onMeasure={onLevel} />
  );
  return (
    <Room id="level" title="Level">
      <p>{level.says}</p>
      {level.marked ? (
        <>
          <Saved name="level" label="the level">
            {(button) => (
              <>
                <LevelDrawing highestMm={highest} lowestMm={lowest} readMm={level.below_mm} />
                <Row>{button}</Row>
              </>
            )}
          </Saved>
          {level.pads_due ? (
            <Notice tone="stop">
              The pads are due: they are worn as far as they may be. New ones would push back{" "}
              {units.say("volume", pushback, 1)}.
            </Notice>
          ) : (
            <p>
              <strong>
                {highest < 0.05
                  ? "Up to the upper mark."
                  : `At most ${units.say("length", highest, 1)} below the upper mark.`}
              </strong>{" "}
              {pushback > 0 ? `New pads would push back ${units.say("volume", pushback, 1)}.` : null}
            </p>
          )}
          {isOpen ? (
            <>
              {level.calipers?.map((caliper) => (
                <MeasuredLength
                  key={caliper.id}
                  label={`${caliper.label}: each pad worn by`}
                  name={`worn-${caliper.id}`}
                  value={caliper.worn_mm}
                  decimals={1}
                  onMeasure={(depth) => onWorn(caliper.id, depth)}
                />
              ))}
              {reading("Level, below the upper mark")}
            </>
          ) : null}
          {isOpen && level.below_mm === undefined ? (
            <Quiet>Read it and the gate goes by it; or look, and confirm it by the reservoir.</Quiet>
          ) : null}
        </>
      ) : null}
      {level.rim_mm && isOpen ? reading("Level, below the rim") : null}
      <Fault of={level.fault} />
    </Room>
  );
}
