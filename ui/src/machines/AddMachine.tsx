import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { answer, client } from "../server/client";
import type { Knowledge, MachineKind } from "../server/api";
import { Button } from "../kit/Button";
import { Choice } from "../kit/Choice";
import { EntryField } from "../kit/EntryField";
import { Panel } from "../kit/layout";
import { Notice } from "../kit/Notice";

export function AddMachine({ kinds }: { kinds: Knowledge["machine_kinds"] }) {
  const [name, setName] = useState("");
  const [kind, setKind] = useState<MachineKind>();
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  const add = useMutation({
    mutationFn: () =>
      answer(
        client.POST("/machines", {
          body: { id: crypto.randomUUID(), name: name.trim(), kind: kind ?? "road" },
        }),
      ),
    onSuccess: (machine) => {
      void queryClient.invalidateQueries({ queryKey: ["machines"] });
      void navigate(`/machines/${machine.id}`);
    },
  });
  return (
    <Panel>
      <h2>Add a machine</h2>
      {add.isError ? <Notice tone="warn">{add.error.message}</Notice> : null}
      <EntryField label="Name" value={name} onFinish={setName} />
      <Choice
        label="Kind"
        options={kinds.map(({ id, label }) => ({ id, label }))}
        value={kind}
        onChange={(id) => setKind(id as MachineKind)}
      />
      <div>
        <Button
          tone="act"
          isDisabled={name.trim() === "" || !kind || add.isPending}
          onPress={() => add.mutate()}
        >
          Add this machine
        </Button>
      </div>
    </Panel>
  );
}
