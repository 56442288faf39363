import styled from "styled-components";
import { Button } from "../kit/Button";
import { Panel, Row } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { MachineSearch } from "../pieces/MachineSearch";
import { useOpenJob } from "../pieces/useOpenJob";
import type { MachineLine } from "../server/api";
import { Refused } from "../server/faults";

const Machine = styled.div`
  display: grid;
  gap: 0.4rem;
`;

/** How many machines stand here before one types or asks for more. */
const SHOWN = 6;

export function StartJob() {
  const open = useOpenJob();
  const asksBeside = open.error instanceof Refused && open.error.problem.errors[0]?.pointer === "circuit_id";
  const start = (circuitId: string) => open.mutate({ circuitId });
  return (
    <Panel>
      <h2>Start a job</h2>
      {open.isError ? (
        <Notice tone={asksBeside ? "warn" : "stop"} live>
          {asksBeside
            ? "A job is open on this circuit already. It is in the list of open jobs."
            : open.error.message}
          {asksBeside && open.variables ? (
            <Row $gap={1}>
              <Button onPress={() => open.mutate({ ...open.variables, beside: true })}>
                Start a second one all the same
              </Button>
            </Row>
          ) : null}
        </Notice>
      ) : null}
      <MachineSearch label="Find a machine" limit={SHOWN} empty={null}>
        {(machine) => <Circuits machine={machine} isDisabled={open.isPending} onStart={start} />}
      </MachineSearch>
    </Panel>
  );
}

interface CircuitsProps {
  machine: MachineLine;
  isDisabled: boolean;
  onStart: (circuitId: string) => void;
}

function Circuits({ machine, isDisabled, onStart }: CircuitsProps) {
  return (
    <Machine>
      <h3>{machine.name}</h3>
      <Row $gap={1}>
        {machine.circuits.map((circuit) => (
          <Button
            key={circuit.id}
            aria-label={`Start a job on ${machine.name}, ${circuit.name}`}
            isDisabled={isDisabled}
            onPress={() => onStart(circuit.id)}
          >
            {circuit.name}
          </Button>
        ))}
      </Row>
    </Machine>
  );
}
