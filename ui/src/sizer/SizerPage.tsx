import { useQuery } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import styled from "styled-components";
import { circuitQuery, comparisonQuery, machinesQuery } from "../app/queries";
import { Page, Panel, Quiet } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { Picker } from "../kit/Picker";
import { useTitle } from "../kit/useTitle";
import { Sizer } from "./Sizer";

const Head = styled.header`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 22rem), 1fr));
  gap: 1rem;
  align-items: end;
`;

/** The sizing without a job: on any circuit, or a comparison that was saved. */
export function SizerPage() {
  useTitle("Sizer");
  const [search, setSearch] = useSearchParams();
  const machines = useQuery(machinesQuery);
  const comparison = useQuery(comparisonQuery(search.get("comparison") ?? ""));
  const circuits =
    machines.data?.items.flatMap((machine) =>
      machine.circuits.map((circuit) => ({
        id: circuit.id,
        label: `${machine.name}, ${circuit.name.toLowerCase()}`,
      })),
    ) ?? [];
  const circuitId = comparison.data?.circuit_id ?? search.get("circuit") ?? circuits[0]?.id ?? "";
  const circuit = useQuery(circuitQuery(circuitId));
  const fault = machines.error ?? circuit.error ?? comparison.error;
  const start = comparison.data?.body ?? (circuit.data ? { sheet: circuit.data.sheet } : undefined);
  return (
    <Page>
      <Head>
        <div>
          <h1>Sizer</h1>
          <Quiet>Which cylinder, and what will it feel like?</Quiet>
        </div>
        {circuits.length > 0 ? (
          <Picker
            label="Circuit"
            isLabelHidden
            options={circuits}
            value={circuitId}
            onChange={(id) => setSearch({ circuit: id }, { replace: true })}
          />
        ) : null}
      </Head>
      {fault ? <Notice tone="stop">{fault.message}</Notice> : null}
      {machines.data && circuits.length === 0 ? (
        <Panel>
          <p>
            No circuits yet. <Link to="/machines">Add a machine</Link> first.
          </p>
        </Panel>
      ) : null}
      {comparison.data ? <Quiet>Saved comparison: {comparison.data.name}</Quiet> : null}
      {start ? <Sizer key={search.toString() + circuitId} start={start} circuitId={circuitId} /> : null}
    </Page>
  );
}
