import { useState } from "react";
import type { Fit } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { EntryField } from "../../kit/EntryField";
import { Quiet } from "../../kit/layout";
import { useEntries } from "../useEntries";
import type { FitProps } from "./fitProps";

/**
 * The wrench in hand, by its full scale: one that does not fit the figure is refused. With a crow's foot in line its own length and
 * the foot's are wanted, since what it reads is then not what the fastener gets.
 */
export function WrenchFields({ job, wrench }: Pick<FitProps, "job"> & { wrench: Fit["wrench"] }) {
  const { add } = useEntries(job, "fit");
  const units = useUnits();
  const [arm, setArm] = useState<string>();
  const mm = (value: number | undefined) => (value === undefined ? "" : units.bare("length", value, 0));
  return (
    <>
      <EntryField
        key={wrench?.scale ?? "none"}
        name="wrench"
        label="Full scale of the wrench in hand"
        inputMode="decimal"
        unit={units.unit("torque")}
        value={wrench ? units.bare("torque", wrench.scale, 1) : ""}
        onFinish={(scale) => add("wrench", { scale: units.typed("torque", scale) })}
      />
      {wrench ? (
        <details open={wrench.foot !== undefined}>
          <summary>With a crow&apos;s foot in line</summary>
          <EntryField
            name="arm"
            label="Length of the wrench, grip to square"
            inputMode="decimal"
            unit={units.unit("length")}
            value={mm(wrench.arm)}
            onFinish={setArm}
          />
          <EntryField
            name="foot"
            label="Length of the foot, square to jaw"
            inputMode="decimal"
            unit={units.unit("length")}
            value={mm(wrench.foot)}
            onFinish={(foot) =>
              add("wrench", {
                scale: units.typed("torque", units.bare("torque", wrench.scale, 1)),
                arm: units.typed("length", arm ?? mm(wrench.arm)),
                foot: units.typed("length", foot),
              })
            }
          />
          <Quiet>At right angles to the wrench it adds nothing: leave both empty.</Quiet>
        </details>
      ) : null}
    </>
  );
}
