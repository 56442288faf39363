import type { Control, Feel } from "../../server/api";
import { Panel, Quiet } from "../../kit/layout";
import { MeasuredLength } from "../MeasuredLength";
import { Mark } from "../../kit/Mark";

interface Props {
  control: Control;
  hold: Feel["hold"];
  isOpen: boolean;
  onMeasure: (creep: string) => void;
}

/** Static hold: steady pull, creep read after a minute. */
export function HoldTest({ control, hold, isOpen, onMeasure }: Props) {
  return (
    <Panel>
      <h2>Hold test</h2>
      <Quiet>
        {control.limb === "foot" ? "250 N by foot" : "150 N by hand"}, steady for 60 s. How far did the{" "}
        {control.noun} creep?
      </Quiet>
      {isOpen ? (
        <MeasuredLength
          label="Creep in 60 s (key H)"
          name="creep"
          value={hold?.creep_mm}
          decimals={1}
          onMeasure={onMeasure}
        />
      ) : null}
      {hold ? (
        <p role="status">
          <Mark kind={hold.pass ? "good" : "stop"}>{hold.pass ? "Holds" : "Creeps"}</Mark> {hold.why}
        </p>
      ) : null}
    </Panel>
  );
}
