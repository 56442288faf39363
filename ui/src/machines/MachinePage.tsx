import { useQuery } from "@tanstack/react-query";
import { Link, useParams, useSearchParams } from "react-router";
import type { Machine } from "../server/api";
import { DamagedRows } from "../pieces/DamagedRows";
import { dueGroups } from "../pieces/dueGroups";
import { DueList } from "../pieces/DueList";
import { machineQuery } from "../server/queries";
import { Choice } from "../kit/Choice";
import { whenSaid } from "../kit/format";
import { Loaded } from "../kit/Loaded";
import { Page, Panel } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { useTitle } from "../kit/useTitle";
import { AddCircuit } from "./AddCircuit";
import { CircuitSheet } from "./CircuitSheet";
import { MachineHead } from "./MachineHead";
import { MachineJobs } from "./MachineJobs";

export function MachinePage() {
  const { id = "" } = useParams();
  const machine = useQuery(machineQuery(id));
  return <Loaded query={machine}>{(data) => <MachineRecord key={data.id} machine={data} />}</Loaded>;
}

function MachineRecord({ machine }: { machine: Machine }) {
  const [search, setSearch] = useSearchParams();
  useTitle(machine.name);
  const show = (circuitId: string) => setSearch({ circuit: circuitId }, { replace: true });
  const circuit = machine.circuits.find((each) => each.id === search.get("circuit")) ?? machine.circuits[0];
  const comparisons = machine.comparisons.filter((each) => each.circuit_id === circuit?.id);
  return (
    <Page>
      <MachineHead machine={machine} />
      <DamagedRows rows={machine.damaged} />
      {machine.circuits.length > 1 ? (
        <Choice
          label="Circuit"
          isLabelHidden
          options={machine.circuits.map(({ id, name }) => ({ id, label: name }))}
          value={circuit?.id}
          onChange={show}
        />
      ) : null}
      {circuit ? (
        <CircuitSheet
          key={circuit.id}
          machineId={machine.id}
          circuit={circuit}
          circuits={machine.circuits}
          onShow={show}
        />
      ) : null}
      {comparisons.length > 0 ? (
        <Panel>
          <h2>Saved comparisons</h2>
          <ul>
            {comparisons.map((each) => (
              <li key={each.id}>
                <Link to={`/sizer?comparison=${each.id}`}>{each.name}</Link>, {whenSaid(each.at)}
              </li>
            ))}
          </ul>
        </Panel>
      ) : null}
      {machine.not_in_record.map((text) => (
        <Notice key={text} tone="warn">
          {text}
        </Notice>
      ))}
      {machine.due.length > 0 ? (
        <Panel>
          <h2>Falls due</h2>
          <DueList label="Falls due" groups={dueGroups(machine.due)} />
        </Panel>
      ) : null}
      <MachineJobs machine={machine} circuitId={circuit?.id} />
      <AddCircuit machine={machine} onAdded={show} />
    </Page>
  );
}
