import { useQuery } from "@tanstack/react-query";
import { useParams, useSearchParams } from "react-router";
import type { Machine } from "../app/api";
import { machineQuery } from "../app/queries";
import { JobRow } from "../bench/JobRow";
import { Choice } from "../kit/Choice";
import { Loaded } from "../kit/Loaded";
import { Page, Panel, Quiet } from "../kit/layout";
import { useTitle } from "../kit/useTitle";
import { CircuitSheet } from "./CircuitSheet";

export function MachinePage() {
  const { id = "" } = useParams();
  const machine = useQuery(machineQuery(id));
  return <Loaded query={machine}>{(data) => <MachineRecord machine={data} />}</Loaded>;
}

function MachineRecord({ machine }: { machine: Machine }) {
  const [search, setSearch] = useSearchParams();
  useTitle(machine.name);
  const circuit = machine.circuits.find((each) => each.id === search.get("circuit")) ?? machine.circuits[0];
  const jobs = machine.jobs.filter((job) => job.circuit.id === circuit?.id);
  return (
    <Page>
      <header>
        <h1>{machine.name}</h1>
        <Quiet>{machine.note}</Quiet>
      </header>
      {machine.circuits.length > 1 ? (
        <Choice
          label="Circuit"
          isLabelHidden
          options={machine.circuits.map(({ id, name }) => ({ id, label: name }))}
          value={circuit?.id}
          onChange={(id) => setSearch({ circuit: id }, { replace: true })}
        />
      ) : null}
      {circuit ? <CircuitSheet key={circuit.id} machineId={machine.id} circuit={circuit} /> : null}
      {jobs.length > 0 ? (
        <Panel>
          <h2>Jobs on this circuit</h2>
          <ul>
            {jobs.map((job) => (
              <JobRow key={job.id} job={job} />
            ))}
          </ul>
        </Panel>
      ) : null}
    </Page>
  );
}
