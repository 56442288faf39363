import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Choose, Job, Supplies } from "../../server/api";
import { knowledgeQuery } from "../../server/queries";
import { Choice } from "../../kit/Choice";
import { FoldingPanel } from "../../kit/FoldingPanel";
import { Quiet } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { Notice } from "../../kit/Notice";
import { SignedList } from "../../kit/SignedList";
import { Picker } from "../../kit/Picker";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  choose: Choose;
  supplies: Supplies;
  isOpen: boolean;
}

export function FluidPanel({ job, choose, supplies, isOpen }: Props) {
  const { data } = useQuery(knowledgeQuery);
  const { add } = useEntries(job, "choose");
  const [read, setRead] = useState<string>();
  if (!data) return null;
  const stamped = read ?? (choose.stamped === "unknown" ? undefined : choose.stamped);
  const takes = data.fluids.find((fluid) => fluid.id === stamped)?.takes ?? [];
  const isSettled = stamped === choose.stamped;
  const label = data.fluids.find((fluid) => fluid.id === choose.fluid)?.label;
  const cold = isSettled
    ? supplies.fluids.find((fluid) => fluid.id === (choose.fluid ?? stamped))?.cold
    : undefined;
  const barred = isSettled ? supplies.fluids.filter((fluid) => !fluid.allowed) : [];
  return (
    <FoldingPanel
      title="Fluid"
      said={label && isSettled ? `${label} goes in` : undefined}
      isFolded={isSettled && choose.fluid !== undefined}
    >
      <Picker
        label="Class stamped on the cap"
        options={[
          ...(stamped ? [] : [{ id: "unknown", label: "not read yet" }]),
          ...data.fluids.map(({ id, label }) => ({ id, label })),
        ]}
        value={stamped ?? "unknown"}
        onChange={setRead}
      />
      {stamped && isOpen ? (
        <Choice
          label="Fluid that goes in"
          hint="Sealed and fresh. A higher class of the same family may go in if the service information does not forbid it."
          options={data.fluids
            .filter((fluid) => takes.includes(fluid.id))
            .map(({ id, label }) => ({ id, label }))}
          value={isSettled ? choose.fluid : undefined}
          onChange={(fluid) => add("fluid", { fluid, stamped })}
        />
      ) : null}
      {stamped ? null : <Mark kind="warn">Class not known: no top-up</Mark>}
      {isSettled
        ? supplies.notes.map((note) => (
            <Notice key={note} tone="warn">
              {note}
            </Notice>
          ))
        : null}
      {cold ? <Quiet>{cold}</Quiet> : null}
      {barred.length > 0 ? (
        <details>
          <summary>{`Never in this circuit: ${barred.length}`}</summary>
          <SignedList lines={barred.map((fluid) => ({ kind: "stop", text: fluid.why }))} />
        </details>
      ) : null}
      {choose.fluid && isSettled ? null : (
        <Quiet>Nothing is opened before the class on the cap is read.</Quiet>
      )}
    </FoldingPanel>
  );
}
