import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { answer, client } from "../server/client";
import { Refused, worded } from "../server/faults";
import type { Machine, MachineChanges, MachineKind, MachineUse } from "../server/api";
import { knowledgeQuery, machineQuery } from "../server/queries";
import { Button } from "../kit/Button";
import { EntryField } from "../kit/EntryField";
import { Panel, Quiet, Row } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { Notice } from "../kit/Notice";
import { Picker } from "../kit/Picker";

/** What is the owner's own about a machine. */
const OWN = [
  { field: "mark", label: "Owner's mark" },
  { field: "place", label: "Where it stands" },
  { field: "meter", label: "Odometer or hours" },
] as const;

/** What a machine is called; editing, copying and retiring it. */
export function MachineHead({ machine }: { machine: Machine }) {
  const [isEditing, setEditing] = useState(false);
  const uses = useQuery(knowledgeQuery).data?.machine_uses ?? [];
  return (
    <header>
      <Row>
        <h1>{machine.name}</h1>
        {machine.retired_at ? <Mark kind="quiet">Retired</Mark> : null}
        {machine.training ? <Mark kind="quiet">For training</Mark> : null}
        <Button onPress={() => setEditing(!isEditing)}>{isEditing ? "Done" : "Edit machine"}</Button>
        <a href={`/api/archive/machines/${machine.id}`} download>
          Whole record, JSON
        </a>
        <a href={`/api/machines/${machine.id}/history.csv`} download>
          History, CSV
        </a>
      </Row>
      <Quiet>{said(machine, uses)}</Quiet>
      {isEditing ? <MachineEditor machine={machine} /> : null}
    </header>
  );
}

function said(machine: Machine, uses: { id: string; label: string }[]): string {
  return [
    machine.mark,
    machine.place && `stands ${machine.place}`,
    uses.find((use) => use.id === machine.use)?.label,
    machine.meter,
    machine.note,
  ]
    .filter(Boolean)
    .join(" · ");
}

function MachineEditor({ machine }: { machine: Machine }) {
  const knowledge = useQuery(knowledgeQuery).data;
  const kinds = knowledge?.machine_kinds ?? [];
  const uses = knowledge?.machine_uses ?? [];
  const queryClient = useQueryClient();
  const navigate = useNavigate();
  const keep = (changed: Machine) => {
    queryClient.setQueryData(machineQuery(changed.id).queryKey, changed);
    void queryClient.invalidateQueries({ queryKey: ["machines"] });
  };
  const change = useMutation({
    mutationFn: (changes: MachineChanges) =>
      answer(client.PATCH("/machines/{id}", { params: { path: { id: machine.id } }, body: changes })),
    onSuccess: keep,
  });
  const copy = useMutation({
    mutationFn: () =>
      answer(
        client.POST("/machines/{id}/copies", {
          params: { path: { id: machine.id } },
          body: { id: crypto.randomUUID(), name: `${machine.name}, copy` },
        }),
      ),
    onSuccess: (copied) => {
      keep(copied);
      void navigate(`/machines/${copied.id}`);
    },
  });
  const refused = change.error instanceof Refused ? change.error.problem.errors[0] : undefined;
  const errorAt = (pointer: string) => (refused?.pointer === pointer ? worded(refused) : undefined);
  const fault = copy.error ?? (refused ? null : change.error);
  return (
    <Panel>
      {fault ? <Notice tone="warn">{fault.message}</Notice> : null}
      <EntryField
        key={`name-${machine.name}`}
        label="Name"
        value={machine.name}
        error={errorAt("name")}
        onFinish={(name) => change.mutate({ name })}
      />
      <Picker
        label="Kind"
        options={kinds.map(({ id, label }) => ({ id, label }))}
        value={machine.kind}
        onChange={(kind) => change.mutate({ kind: kind as MachineKind })}
      />
      <Picker
        label="Use"
        options={uses.map(({ id, label }) => ({ id, label }))}
        value={machine.use}
        onChange={(use) => change.mutate({ use: use as MachineUse })}
      />
      {OWN.map(({ field, label }) => (
        <EntryField
          key={`${field}-${machine[field]}`}
          label={label}
          value={machine[field]}
          error={errorAt(field)}
          onFinish={(text) => change.mutate({ [field]: text })}
        />
      ))}
      <EntryField
        key={`note-${machine.note}`}
        label="Note"
        value={machine.note}
        error={errorAt("note")}
        onFinish={(note) => change.mutate({ note })}
      />
      <Row>
        <Button isDisabled={copy.isPending} onPress={() => copy.mutate()}>
          Copy this machine
        </Button>
        <Button onPress={() => change.mutate({ training: !machine.training })}>
          {machine.training ? "A real machine" : "For training only"}
        </Button>
        <Button onPress={() => change.mutate({ retired: !machine.retired_at })}>
          {machine.retired_at ? "Bring back" : "Retire"}
        </Button>
      </Row>
      <Quiet>
        A copy has the same circuits and values, and no history. A retired machine keeps its history.
        Simulated instruments are offered on a machine for training, and on no other.
      </Quiet>
    </Panel>
  );
}
