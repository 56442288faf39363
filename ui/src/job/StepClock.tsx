import { useEffect, useState } from "react";
import { Big, Quiet, Row } from "../kit/layout";
import { time } from "../kit/time";
import { timeIsUp } from "../kit/sound";
import { clock } from "../kit/useSecondsLeft";

interface Props {
  /** How long the step takes, or at most, s. */
  seconds: number;
  label: string;
  size?: string;
}

/** A step that takes time runs its own clock from when its turn came; three tones say that the time is up. */
export function StepClock({ seconds, label, size = "2.6rem" }: Props) {
  const [since] = useState(() => time.now());
  const [now, setNow] = useState(since);
  useEffect(() => time.every(1000, () => setNow(time.now())), []);
  const passed = Math.floor((now - since) / 1000);
  const isUp = passed >= seconds;
  useEffect(() => {
    if (isUp) timeIsUp();
  }, [isUp]);
  return (
    <Row role="timer" aria-live="off" aria-label={`Time for: ${label}`}>
      <Big $size={size}>{clock(passed)}</Big>
      {isUp ? <strong>Time is up.</strong> : <Quiet>{`of ${clock(seconds)}`}</Quiet>}
    </Row>
  );
}
