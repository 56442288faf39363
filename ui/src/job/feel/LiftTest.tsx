import type { Feel } from "../../app/api";
import { EntryField } from "../../kit/EntryField";
import { figure } from "../../kit/format";
import { Quiet, Table } from "../../kit/layout";

interface Props {
  feel: Feel;
  isOpen: boolean;
  onMeasure: (lift: string) => void;
}

/** A clutch is judged by what reaches the slave. */
export function LiftTest({ feel, isOpen, onMeasure }: Props) {
  const lift = feel.lift;
  return (
    <>
      <h2>Lift at the slave</h2>
      <Quiet>Slave bolted in place, depth gauge at the release end, lever pulled to the grip and held.</Quiet>
      {isOpen ? (
        <EntryField
          key={lift?.lift_mm ?? "none"}
          label="Measured lift (key N)"
          name="lift"
          unit="mm"
          inputMode="decimal"
          value={lift ? figure(lift.lift_mm, 2) : ""}
          onFinish={onMeasure}
        />
      ) : null}
      {lift ? (
        <Table aria-label="Lift">
          <tbody>
            <tr>
              <td>Expected without air</td>
              <td>{figure(lift.expected_lift_mm, 2)} mm</td>
            </tr>
            <tr>
              <td>Needed to free the clutch, and margin</td>
              <td>
                {figure(lift.needed_mm, 2)} + {figure(lift.margin_mm, 2)} mm
              </td>
            </tr>
            <tr>
              <td>Air that would swallow what is missing</td>
              <td>{figure(lift.missing_air_ml, 2)} mL</td>
            </tr>
          </tbody>
        </Table>
      ) : null}
    </>
  );
}
