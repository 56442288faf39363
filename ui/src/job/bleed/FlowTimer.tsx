import { useState } from "react";
import type { Bleed } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { Button } from "../../kit/Button";
import { Big, Quiet, Row } from "../../kit/layout";
import { time } from "../../kit/time";
import { clock, useSecondsLeft } from "../../kit/useSecondsLeft";
import { unhurried } from "../../kit/unhurried";

interface Props {
  run: NonNullable<Bleed["free_run"]>;
}

/** How long the open nipple may run before the reservoir is topped up: counted down from the tap, with a bell. */
export const FlowTimer = unhurried(function FlowTimer({ run }: Props) {
  const units = useUnits();
  const [until, setUntil] = useState<string>();
  const left = useSecondsLeft(until);
  const isRunning = left !== undefined && left > 0;
  const start = () => setUntil(new Date(time.now() + run.top_up_s * 1000).toISOString());
  return (
    <Row role="timer" aria-label="Time until the top-up">
      {isRunning ? <Big $size="2.6rem">{clock(left)}</Big> : null}
      {left === 0 ? <strong>Shut the nipple, read the jar, top up.</strong> : null}
      <span>
        {`It runs at about ${units.say("volume", run.flow_ml_s, 2)} a second. Top up after ${run.top_up_s} s; the port is uncovered after ${run.port_s} s.`}
      </span>
      {isRunning ? (
        <Quiet>Stay with the open nipple.</Quiet>
      ) : (
        <Button isDisabled={run.top_up_s === 0} onPress={start}>
          {`Nipple open: time ${run.top_up_s} s`}
        </Button>
      )}
    </Row>
  );
});
