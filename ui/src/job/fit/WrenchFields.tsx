import type { Fit } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { EntryField } from "../../kit/EntryField";
import { useEntries } from "../useEntries";
import type { FitProps } from "./fitProps";

/** The wrench in hand, by its full scale: one that does not fit the figure is refused. */
export function WrenchFields({ job, wrench }: Pick<FitProps, "job"> & { wrench: Fit["wrench"] }) {
  const { add } = useEntries(job, "fit");
  const units = useUnits();
  return (
    <EntryField
      key={wrench?.scale ?? "none"}
      name="wrench"
      label="Full scale of the wrench in hand"
      inputMode="decimal"
      unit={units.unit("torque")}
      value={wrench ? units.bare("torque", wrench.scale, 1) : ""}
      onFinish={(scale) => add("wrench", { scale: units.typed("torque", scale) })}
    />
  );
}
