import { useMutation, useQueryClient } from "@tanstack/react-query";
import type { Circuit, CircuitChange, Sheet } from "../server/api";
import { answer, client } from "../server/client";
import { machineQuery } from "../server/queries";

/** Changes of a circuit's record, one after another, each made to the newest version that this page has seen. */
export function useCircuitWrites(machineId: string, circuit: Circuit) {
  const queryClient = useQueryClient();
  const { queryKey } = machineQuery(machineId);
  const path = { id: circuit.id };
  const newest = () =>
    queryClient.getQueryData(queryKey)?.circuits.find((each) => each.id === circuit.id) ?? circuit;
  const written = {
    scope: { id: `circuit ${circuit.id}` },
    onSuccess: (changed: Circuit) => {
      queryClient.setQueryData(queryKey, (machine) =>
        machine
          ? {
              ...machine,
              circuits: machine.circuits.map((each) => (each.id === changed.id ? changed : each)),
            }
          : machine,
      );
      return queryClient.invalidateQueries({ queryKey });
    },
  };
  const change = useMutation({
    ...written,
    mutationFn: (changed: CircuitChange) =>
      answer(
        client.PATCH("/circuits/{id}", {
          params: { path },
          body: { changes: [changed], revision: newest().revision },
        }),
      ),
  });
  const replace = useMutation({
    ...written,
    mutationFn: (whole: { name?: string; sheet?: Sheet }) => {
      const { name, sheet, revision } = newest();
      return answer(
        client.PUT("/circuits/{id}", { params: { path }, body: { name, sheet, revision, ...whole } }),
      );
    },
  });
  return { change, replace };
}
