import { useMutation } from "@tanstack/react-query";
import { useRef } from "react";
import { LeverCurve } from "../drawings/LeverCurve";
import { Button } from "../kit/Button";
import { Panel, Quiet, Row } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { Notice } from "../kit/Notice";
import { answer, client } from "../server/client";
import { useUnits } from "../server/useUnits";

/** A lever gauge held to the circuit as it stands, and what Feel would say of it. */
export function LeverReading({ runId }: { runId: string }) {
  const units = useUnits();
  const turn = useRef(0);
  const pull = useMutation({
    mutationFn: () =>
      answer(
        client.POST("/practice/runs/{id}/lever-pulls", {
          params: { path: { id: runId } },
          body: { turn: turn.current++ },
        }),
      ),
  });
  const reading = pull.data;
  const verdict = reading?.report.verdict;
  return (
    <Panel>
      <Row>
        <h2>Read the lever</h2>
        <Button isDisabled={pull.isPending} onPress={() => pull.mutate()}>
          {reading ? "Read again" : "With the gauge"}
        </Button>
        {reading ? <Mark kind="quiet">{`Simulated ${reading.instrument}`}</Mark> : null}
      </Row>
      {pull.isError ? <Notice tone="warn">{pull.error.message}</Notice> : null}
      {reading ? (
        <>
          <p role="status">
            {verdict
              ? `${units.say("volume", verdict.air_ml, 2)} of air, ${units.bare("volume", verdict.air_low_ml ?? 0, 2)} to ${units.say("volume", verdict.air_high_ml ?? 0, 2)}. ${verdict.why}`
              : `Feel cannot tell: ${reading.report.wanted ?? "too few readings"}.`}
          </p>
          <LeverCurve
            expected={reading.report.expected}
            fitted={reading.report.fitted}
            readings={reading.report.readings}
            referenceN={reading.report.reference_n}
            control={reading.control}
          />
        </>
      ) : (
        <Quiet>What Feel would say of it as it is now. Nothing is moved.</Quiet>
      )}
    </Panel>
  );
}
