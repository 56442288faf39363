import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import { Button } from "../kit/Button";
import { Choice } from "../kit/Choice";
import { EntryField } from "../kit/EntryField";
import { Page, Panel, Quiet, Row } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { Archive } from "../pieces/Archive";
import { useOpenJob } from "../pieces/useOpenJob";
import type { MachineKind } from "../server/api";
import { answer, client } from "../server/client";
import { knowledgeQuery } from "../server/queries";
import { useOutbox } from "../server/useOutbox";

const Answer = styled.div`
  display: grid;
  gap: 0.9rem;
  max-width: 40rem;
`;

/** An empty shop: four questions, one after another; the last tap opens the first job. */
export function FirstMachine() {
  const knowledge = useQuery(knowledgeQuery).data;
  const [kind, setKind] = useState<MachineKind>();
  const [name, setName] = useState("");
  const [complaint, setComplaint] = useState("");
  // kept over a failed attempt, so that a second tap makes no second machine
  const [{ id, circuit }] = useState(() => ({ id: crypto.randomUUID(), circuit: crypto.randomUUID() }));
  const outbox = useOutbox();
  const queryClient = useQueryClient();
  const open = useOpenJob();
  const add = useMutation({
    mutationFn: async (template: string) => {
      const label = knowledge?.machine_kinds.find((each) => each.id === kind)?.label ?? "Machine";
      await answer(
        client.POST("/machines", { body: { id, name: name.trim() || label, kind: kind ?? "road" } }),
      );
      await answer(
        client.POST("/machines/{id}/circuits", { params: { path: { id } }, body: { id: circuit, template } }),
      );
      return open.mutateAsync({ circuitId: circuit });
    },
    onSuccess: (job) => {
      void queryClient.invalidateQueries({ queryKey: ["machines"] });
      if (complaint.trim()) {
        outbox.add(job.id, { stage: "ask", kind: "complaint", data: { text: complaint.trim() } });
      }
    },
  });
  const templates = knowledge?.machine_kinds.find((each) => each.id === kind)?.templates ?? [];
  return (
    <Page>
      <Panel>
        <h1>Sandbag</h1>
        <p>
          It leads a brake or clutch job from the complaint to the signed card: sizing, seals, bleeding, lever
          feel, and the record. The machine&apos;s own service information comes first.
        </p>
        <h2>Open the first job: four questions</h2>
        {add.isError ? <Notice tone="warn">{add.error.message}</Notice> : null}
        <Choice
          label="1. What is it?"
          options={knowledge?.machine_kinds.map(({ id, label }) => ({ id, label })) ?? []}
          value={kind}
          onChange={(id) => setKind(id as MachineKind)}
        />
        {kind ? (
          <Answer>
            <EntryField label="2. What is it called?" value={name} onFinish={setName} />
            <EntryField
              label="3. What is wrong, in the rider's own words?"
              value={complaint}
              onFinish={setComplaint}
            />
            <h3>4. Which circuit? The job starts with it.</h3>
            <Row $gap={1}>
              {templates.map((id) => {
                const template = knowledge?.templates.find((each) => each.id === id);
                return template ? (
                  <Button key={id} tone="act" isDisabled={add.isPending} onPress={() => add.mutate(id)}>
                    {template.label}
                  </Button>
                ) : null;
              })}
            </Row>
          </Answer>
        ) : null}
      </Panel>
      <Panel>
        <h2>Or look round first</h2>
        <Quiet>
          A made-up shop with machines, a shelf and open jobs is started by bin/demo; it never touches your
          own records.
        </Quiet>
        <h2>Or import another shop&apos;s records</h2>
        <Archive />
      </Panel>
    </Page>
  );
}
