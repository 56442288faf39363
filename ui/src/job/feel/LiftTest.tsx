import { useUnits } from "../../server/useUnits";
import type { Feel } from "../../server/api";
import { Quiet } from "../../kit/layout";
import { Table } from "../../kit/Table";
import { MeasuredLength } from "../MeasuredLength";

interface Props {
  feel: Feel;
  isOpen: boolean;
  onMeasure: (lift: string) => void;
}

/** A clutch is judged by what reaches the slave. */
export function LiftTest({ feel, isOpen, onMeasure }: Props) {
  const lift = feel.lift;
  const units = useUnits();
  return (
    <>
      <h2>Lift at the slave</h2>
      <Quiet>Slave bolted in place, depth gauge at the release end, lever pulled to the grip and held.</Quiet>
      {isOpen ? (
        <MeasuredLength
          label="Measured lift (key N)"
          name="lift"
          value={lift?.lift_mm}
          decimals={2}
          onMeasure={onMeasure}
        />
      ) : null}
      {lift ? (
        <Table aria-label="Lift">
          <tbody>
            <tr>
              <td>Expected without air</td>
              <td>{units.say("length", lift.expected_lift_mm, 2)}</td>
            </tr>
            <tr>
              <td>Needed to free the clutch, and margin</td>
              <td>
                {units.bare("length", lift.needed_mm, 2)} + {units.say("length", lift.margin_mm, 2)}
              </td>
            </tr>
            <tr>
              <td>Air that would explain the missing lift</td>
              <td>{units.say("volume", lift.missing_air_ml, 2)}</td>
            </tr>
          </tbody>
        </Table>
      ) : null}
    </>
  );
}
