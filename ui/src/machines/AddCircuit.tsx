import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answer, client } from "../server/client";
import type { Machine } from "../server/api";
import { knowledgeQuery, machineQuery } from "../server/queries";
import { Button } from "../kit/Button";
import { Panel, Quiet, Row } from "../kit/layout";
import { Notice } from "../kit/Notice";

/** A new circuit from a template that fits the machine's kind. */
export function AddCircuit({ machine, onAdded }: { machine: Machine; onAdded: (circuitId: string) => void }) {
  const knowledge = useQuery(knowledgeQuery).data;
  const queryClient = useQueryClient();
  const add = useMutation({
    mutationFn: (template: string) =>
      answer(
        client.POST("/machines/{id}/circuits", {
          params: { path: { id: machine.id } },
          body: { id: crypto.randomUUID(), template },
        }),
      ),
    onSuccess: (changed) => {
      queryClient.setQueryData(machineQuery(machine.id).queryKey, changed);
      void queryClient.invalidateQueries({ queryKey: ["machines"] });
      const newest = changed.circuits[changed.circuits.length - 1];
      if (newest) onAdded(newest.id);
    },
  });
  const templates = knowledge?.machine_kinds.find((kind) => kind.id === machine.kind)?.templates ?? [];
  return (
    <Panel>
      <h2>{machine.circuits.length === 0 ? "Add the first circuit" : "Add a circuit"}</h2>
      {add.isError ? <Notice tone="warn">{add.error.message}</Notice> : null}
      <Row $gap={1}>
        {templates.map((id) => {
          const template = knowledge?.templates.find((each) => each.id === id);
          return template ? (
            <Button key={id} isDisabled={add.isPending} onPress={() => add.mutate(id)}>
              {template.label}
            </Button>
          ) : null;
        })}
      </Row>
      <Quiet>It starts with trade defaults, each marked so until you enter or measure it.</Quiet>
    </Panel>
  );
}
