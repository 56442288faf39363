import { useEffect, useState } from "react";
import { Big, Quiet, Row } from "../kit/layout";
import { time } from "../kit/time";
import { clock } from "../kit/useSecondsLeft";

interface Props {
  /** How long the step takes, or at most, s. */
  seconds: number;
  label: string;
}

/** A step that takes time runs its own clock from when its turn came. */
export function StepClock({ seconds, label }: Props) {
  const [since] = useState(() => time.now());
  const [now, setNow] = useState(since);
  useEffect(() => time.every(1000, () => setNow(time.now())), []);
  const passed = Math.floor((now - since) / 1000);
  return (
    <Row role="timer" aria-label={`Time for: ${label}`}>
      <Big $size="2.6rem">{clock(passed)}</Big>
      {passed >= seconds ? <strong>Time is up.</strong> : <Quiet>{`of ${clock(seconds)}`}</Quiet>}
    </Row>
  );
}
