import { useUnits } from "../../app/useUnits";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Job } from "../../app/api";
import { knowledgeQuery } from "../../app/queries";
import { Choice } from "../../kit/Choice";
import { Picker } from "../../kit/Picker";
import { Big, Panel, Quiet, Table } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { useEntries } from "../useEntries";

export function FluidPanel({ job }: { job: Job }) {
  const { data } = useQuery(knowledgeQuery);
  const { add } = useEntries(job, "choose");
  const choose = job.choose;
  const units = useUnits();
  const [read, setRead] = useState<string | undefined>(undefined);
  if (!data || !choose) return null;
  const stamped = read ?? (choose.stamped === "unknown" ? undefined : choose.stamped);
  const family = data.fluids.find((fluid) => fluid.id === stamped)?.family;
  return (
    <Panel>
      <h2>Fluid</h2>
      <div>
        <Big>
          {units.bare("volume", choose.need.total_ml, 0)}
          <small> {units.unit("volume")}</small>
        </Big>
        <Quiet>of fluid to have on the bench</Quiet>
      </div>
      <Picker
        label="Class stamped on the cap"
        options={[
          ...(stamped ? [] : [{ id: "unknown", label: "not read yet" }]),
          ...data.fluids.map(({ id, label }) => ({ id, label })),
        ]}
        value={stamped ?? "unknown"}
        onChange={setRead}
      />
      {stamped ? (
        <Choice
          label="Fluid that goes in"
          hint="Sealed and fresh. A higher class of the same family may go in if the service information does not forbid it."
          options={data.fluids
            .filter((fluid) => fluid.family === family)
            .map(({ id, label }) => ({ id, label }))}
          value={stamped === choose.stamped ? choose.fluid : undefined}
          onChange={(fluid) => add("fluid", { fluid, stamped })}
        />
      ) : (
        <Mark kind="warn">Class not known: no top-up</Mark>
      )}
      <Table aria-label="What the fluid is for">
        <tbody>
          {choose.need.lines.map((line) => (
            <tr key={line.label}>
              <td>{line.label}</td>
              <td>{units.say("volume", line.ml, 0)}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Panel>
  );
}
