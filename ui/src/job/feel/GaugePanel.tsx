import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { FileTrigger } from "react-aria-components";
import styled from "styled-components";
import type { Feel, GaugePull, Job, Sheet } from "../../server/api";
import { answer, client } from "../../server/client";
import { Refused, worded } from "../../server/faults";
import { Button } from "../../kit/Button";
import { figure } from "../../kit/format";
import { Quiet, Row } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { OnTrainingMachine } from "../OnTrainingMachine";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  feel: Feel;
  sheet: Sheet;
}

const Drop = styled.div<{ $over: boolean }>`
  display: grid;
  gap: 0.5rem;
  padding: 0.8rem 1rem;
  border: 2px dashed ${(p) => (p.$over ? p.theme.act : p.theme.line)};
  border-radius: 0.5rem;
  background: ${(p) => (p.$over ? p.theme.actSoft : "transparent")};
`;

/** A gauge's own file, dropped or picked, or the simulated gauge: read whole, or refused with its line. */
export function GaugePanel({ job, feel, sheet }: Props) {
  const { add } = useEntries(job, "feel");
  const [isOver, setOver] = useState(false);
  const [turn, setTurn] = useState(0);
  const keep = (pull: GaugePull, instrument: string) => {
    if (pull.hold)
      add("hold_series", { times: pull.hold.times_s, travels: pull.hold.travels_mm, instrument });
    if (!pull.readings) return;
    add("curve", {
      forces: pull.readings.map((reading) => reading.force_n),
      travels: pull.readings.map((reading) => reading.travel_mm),
      ...(pull.friction_n === undefined ? {} : { friction: Math.max(pull.friction_n, 0) }),
      instrument,
    });
  };
  const read = useMutation({
    mutationFn: async (file: File) =>
      answer(
        client.POST("/compute/gauge-files", {
          body: (await file.arrayBuffer()) as unknown as string,
          bodySerializer: (bytes) => bytes as unknown as string,
          headers: { "content-type": "text/csv" },
        }),
      ),
    onSuccess: (pull, file) => keep(pull, file.name.slice(0, 60)),
  });
  const simulated = useMutation({
    mutationFn: () =>
      answer(client.POST("/compute/lever-pulls", { body: { sheet, seed: job.circuit.id, turn } })),
    onSuccess: (pull) => {
      setTurn(turn + 1);
      keep(pull, `simulated ${pull.instrument ?? "gauge"}`);
    },
  });
  const take = (files: FileList | null | undefined) => {
    const file = files?.[0];
    if (file) read.mutate(file);
  };
  const fault = read.error instanceof Refused ? read.error.problem.errors[0] : undefined;
  return (
    <Drop
      $over={isOver}
      aria-label="A gauge's file"
      role="group"
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        take(event.dataTransfer.files);
      }}
    >
      <Row>
        <FileTrigger acceptedFileTypes={[".csv", ".txt", "text/csv"]} onSelect={take}>
          <Button>Read a gauge&apos;s file</Button>
        </FileTrigger>
        <OnTrainingMachine job={job}>
          <Button isDisabled={simulated.isPending} onPress={() => simulated.mutate()}>
            Simulated gauge
          </Button>
        </OnTrainingMachine>
        <Quiet>or drop it here: force and travel under a header, with time or without.</Quiet>
      </Row>
      {read.error ? (
        <Notice tone="stop" live>
          {fault ? worded(fault) : read.error.message}
        </Notice>
      ) : null}
      {feel.gauge ? (
        <Quiet>
          {`${feel.gauge.instrument ?? "Gauge"}: loading branch kept${
            feel.gauge.friction_n === undefined
              ? ""
              : `; seals and lever rub ${figure(feel.gauge.friction_n, 1)} N`
          }.`}
        </Quiet>
      ) : null}
    </Drop>
  );
}
