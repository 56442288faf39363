import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import type { RefObject } from "react";
import { call } from "../app/api";
import { Button } from "../kit/Button";
import { download, svgText } from "../kit/download";
import { EntryField } from "../kit/EntryField";
import { Row } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { Notice } from "../kit/Notice";
import type { SizingState } from "./useSizing";

interface Props {
  sizing: SizingState;
  plot: RefObject<SVGSVGElement | null>;
  circuitId: string;
  jobId: string | undefined;
}

/** Keeps the comparison with the circuit, and takes it away as CSV or SVG. */
export function Exports({ sizing, plot, circuitId, jobId }: Props) {
  const queryClient = useQueryClient();
  const [name, setName] = useState("");
  const save = useMutation({
    mutationFn: () =>
      call("POST", "/comparisons", {
        id: crypto.randomUUID(),
        circuit_id: circuitId,
        ...(jobId ? { job_id: jobId } : {}),
        name: name.trim(),
        body: sizing.request,
      }),
    onSuccess: () => queryClient.invalidateQueries({ queryKey: ["machine"] }),
  });
  const csv = useMutation({ mutationFn: () => fetchCsv(sizing.request) });
  const fault = save.error ?? csv.error;
  return (
    <>
      {fault ? <Notice tone="warn">{fault.message}</Notice> : null}
      <Row>
        <EntryField label="Save this comparison as" value={name} onFinish={setName} />
        <Button isDisabled={name.trim() === ""} onPress={() => save.mutate()}>
          Save
        </Button>
        {save.isSuccess ? <Mark kind="good">Saved with the circuit</Mark> : null}
      </Row>
      <Row>
        <Button onPress={() => csv.mutate()}>CSV</Button>
        <Button
          onPress={() => plot.current && download("sizing.svg", "image/svg+xml", svgText(plot.current))}
        >
          SVG of the plot
        </Button>
      </Row>
    </>
  );
}

async function fetchCsv(request: SizingState["request"]): Promise<void> {
  const response = await fetch("/api/compute/sizings", {
    method: "POST",
    headers: { "content-type": "application/json", accept: "text/csv" },
    body: JSON.stringify(request),
  });
  if (!response.ok) throw new Error("The server could not write the CSV.");
  download("sizing.csv", "text/csv", await response.text());
}
