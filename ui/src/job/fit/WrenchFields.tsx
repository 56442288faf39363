import { useState } from "react";
import type { Fit } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { EntryField } from "../../kit/EntryField";
import { Quiet } from "../../kit/layout";
import { useEntries } from "../useEntries";
import type { FitProps } from "./fitProps";

type Lengths = { arm?: string; foot?: string };

const LENGTHS = [
  ["arm", "Length of the wrench, grip to square"],
  ["foot", "Length of the foot, square to jaw"],
] as const;

/**
 * The wrench in hand, by its full scale: one that does not fit the figure is refused. With a crow's foot in line its own length and
 * the foot's are wanted, since what it reads is then not what the fastener gets.
 */
export function WrenchFields({ job, wrench }: Pick<FitProps, "job"> & { wrench: Fit["wrench"] }) {
  const { add } = useEntries(job, "fit");
  const units = useUnits();
  const [typed, setTyped] = useState<Lengths>({});
  const mm = (value: number | undefined) => (value === undefined ? "" : units.bare("length", value, 0));
  /** Both lengths together, once both are there. */
  const take = (length: Lengths) => {
    const both = { arm: mm(wrench?.arm), foot: mm(wrench?.foot), ...typed, ...length };
    setTyped({ ...typed, ...length });
    if (!wrench || both.arm === "" || both.foot === "") return;
    add("wrench", {
      scale: units.typed("torque", units.bare("torque", wrench.scale, 1)),
      arm: units.typed("length", both.arm),
      foot: units.typed("length", both.foot),
    });
  };
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
          {LENGTHS.map(([name, label]) => (
            <EntryField
              key={name}
              name={name}
              label={label}
              inputMode="decimal"
              unit={units.unit("length")}
              value={typed[name] ?? mm(wrench[name])}
              onFinish={(length) => take({ [name]: length })}
            />
          ))}
          <Quiet>At right angles to the wrench it adds nothing: leave both empty.</Quiet>
        </details>
      ) : null}
    </>
  );
}
