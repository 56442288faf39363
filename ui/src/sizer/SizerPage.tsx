import { useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import { Link, useSearchParams } from "react-router";
import { Button } from "../kit/Button";
import { Page, Panel, Quiet, Row } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { useArrived } from "../kit/useArrived";
import { useTitle } from "../kit/useTitle";
import { MachineSearch } from "../pieces/MachineSearch";
import { pagesOf } from "../server/pagesOf";
import { circuitQuery, comparisonQuery, machineQuery, machinesQuery } from "../server/queries";
import { Sizer } from "./Sizer";

const SHOWN = 6;

/** Has its line before its words are there, so that nothing below moves. */
const Named = styled(Quiet)`
  flex: 1 1 18rem;
  min-height: 1.45em;
`;

/** The sizing without a job: on any circuit, or a comparison that was saved. */
export function SizerPage() {
  useTitle("Sizer");
  const [search, setSearch] = useSearchParams();
  const [picks, setPicks] = useState(false);
  const first = useInfiniteQuery(machinesQuery({ limit: 1 }));
  const comparison = useQuery(comparisonQuery(search.get("comparison") ?? ""));
  const firstCircuit = pagesOf(first).items[0]?.circuits[0]?.id;
  const circuitId = comparison.data?.circuit_id ?? search.get("circuit") ?? firstCircuit ?? "";
  const circuit = useQuery(circuitQuery(circuitId));
  const fault = first.error ?? circuit.error ?? comparison.error;
  const start = comparison.data?.body ?? (circuit.data ? { sheet: circuit.data.sheet } : undefined);
  const isThere = useArrived(start);
  const pick = (id: string) => {
    setPicks(false);
    setSearch({ circuit: id }, { replace: true });
  };
  return (
    <Page>
      <Row>
        <h1>Sizer</h1>
        <Button onPress={() => setPicks(!picks)}>{picks ? "Keep this circuit" : "Another circuit"}</Button>
        <Named>
          {circuit.data ? <CircuitName machineId={circuit.data.machine_id} name={circuit.data.name} /> : null}
        </Named>
      </Row>
      {fault ? <Notice tone="stop">{fault.message}</Notice> : null}
      {picks || (first.data && !circuitId) ? (
        <Panel>
          <MachineSearch
            label="Find a machine"
            limit={SHOWN}
            empty={
              <p>
                The Sizer compares cylinders on a circuit, and there is none yet.{" "}
                <Link to="/machines">Add a machine</Link> first.
              </p>
            }
          >
            {(machine) => (
              <Row $gap={1}>
                <strong>{machine.name}</strong>
                {machine.circuits.map(({ id, name }) => (
                  <Button key={id} aria-label={`${machine.name}, ${name}`} onPress={() => pick(id)}>
                    {name}
                  </Button>
                ))}
              </Row>
            )}
          </MachineSearch>
        </Panel>
      ) : null}
      {comparison.data ? <Quiet>Saved comparison: {comparison.data.name}</Quiet> : null}
      {isThere && start ? (
        <Sizer key={search.toString() + circuitId} start={start} circuitId={circuitId} />
      ) : null}
    </Page>
  );
}

function CircuitName({ machineId, name }: { machineId: string; name: string }) {
  const machine = useQuery(machineQuery(machineId)).data;
  return machine ? `${machine.name}: ${name}` : name;
}
