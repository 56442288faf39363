import { useUnits } from "../../app/useUnits";
import type { Feel } from "../../app/api";
import { EntryField } from "../../kit/EntryField";
import { Panel, Quiet } from "../../kit/layout";
import { Mark } from "../../kit/Mark";

interface Props {
  hold: Feel["hold"];
  isOpen: boolean;
  onMeasure: (creep: string) => void;
}

/** Static hold: steady pull, creep read after a minute. */
export function HoldTest({ hold, isOpen, onMeasure }: Props) {
  const units = useUnits();
  return (
    <Panel>
      <h2>Hold test</h2>
      <Quiet>150 N by hand, 250 N by foot, steady for 60 s. How far did the lever creep?</Quiet>
      {isOpen ? (
        <EntryField
          key={hold?.creep_mm ?? "none"}
          label="Creep in 60 s (key H)"
          name="creep"
          unit={units.unit("length")}
          inputMode="decimal"
          value={hold ? units.bare("length", hold.creep_mm, 1) : ""}
          onFinish={(text) => onMeasure(units.typed("length", text))}
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
