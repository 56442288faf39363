import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import styled from "styled-components";
import { call } from "../app/api";
import type { Job } from "../app/api";
import { machinesQuery } from "../app/queries";
import { Button } from "../kit/Button";
import { Panel, Quiet, Row } from "../kit/layout";
import { Notice } from "../kit/Notice";

const List = styled.ul`
  display: grid;
  gap: 1rem;
  li {
    display: grid;
    gap: 0.4rem;
  }
`;

export function StartJob() {
  const machines = useQuery(machinesQuery);
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  const open = useMutation({
    mutationFn: (circuitId: string) =>
      call<Job>("POST", "/jobs", { id: crypto.randomUUID(), circuit_id: circuitId }),
    onSuccess: (job) => {
      void queryClient.invalidateQueries({ queryKey: ["jobs"] });
      void navigate(`/jobs/${job.id}/ask`);
    },
  });
  return (
    <Panel>
      <h2>Start a job</h2>
      {open.isError ? <Notice tone="stop">{open.error.message}</Notice> : null}
      {machines.isError ? <Notice tone="stop">{machines.error.message}</Notice> : null}
      {machines.data?.items.length === 0 ? <Quiet>No machines yet.</Quiet> : null}
      <List>
        {machines.data?.items.map((machine) => (
          <li key={machine.id}>
            <h3>{machine.name}</h3>
            <Row $gap={1}>
              {machine.circuits.map((circuit) => (
                <Button
                  key={circuit.id}
                  aria-label={`Start a job on ${machine.name}, ${circuit.name}`}
                  isDisabled={open.isPending}
                  onPress={() => open.mutate(circuit.id)}
                >
                  {circuit.name}
                </Button>
              ))}
            </Row>
          </li>
        ))}
      </List>
    </Panel>
  );
}
