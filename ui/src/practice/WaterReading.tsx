import { useMutation } from "@tanstack/react-query";
import { useRef } from "react";
import { Button } from "../kit/Button";
import { figure } from "../kit/format";
import { Panel, Row } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { answer, client } from "../server/client";

/** A moisture pen in a sample from the worst nipple, as the fluid is now. */
export function WaterReading({ runId }: { runId: string }) {
  const turn = useRef(0);
  const pen = useMutation({
    mutationFn: () =>
      answer(
        client.POST("/practice/runs/{id}/water-readings", {
          params: { path: { id: runId } },
          body: { turn: turn.current++ },
        }),
      ),
  });
  return (
    <Panel>
      <Row>
        <h2>Water in the fluid</h2>
        <Button isDisabled={pen.isPending} onPress={() => pen.mutate()}>
          {pen.data ? "Test again" : "With the pen"}
        </Button>
        {pen.data ? <Mark kind="quiet">{`Simulated ${pen.data.instrument}`}</Mark> : null}
      </Row>
      {pen.data ? (
        <p role="status">{`${figure(pen.data.value, 1)} %, give or take ${figure(pen.data.uncertainty, 2)}`}</p>
      ) : null}
    </Panel>
  );
}
