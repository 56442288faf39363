import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import type { RefObject } from "react";
import { answer, client } from "../server/client";
import { Button } from "../kit/Button";
import { download, downloadSvg } from "../kit/download";
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
      answer(
        client.POST("/comparisons", {
          body: {
            id: crypto.randomUUID(),
            circuit_id: circuitId,
            ...(jobId ? { job_id: jobId } : {}),
            name: name.trim(),
            body: sizing.request,
          },
        }),
      ),
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
        <Button onPress={() => downloadSvg("sizing", plot.current)}>SVG of the plot</Button>
      </Row>
    </>
  );
}

async function fetchCsv(body: SizingState["request"]): Promise<void> {
  const sent = client.POST("/compute/sizings", { body, headers: { accept: "text/csv" }, parseAs: "text" });
  download("sizing.csv", "text/csv", await answer(sent));
}
