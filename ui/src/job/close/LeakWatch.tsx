import { Button } from "../../kit/Button";
import { Big, Row } from "../../kit/layout";
import { clock, useSecondsLeft } from "../../kit/useSecondsLeft";
import { Mark } from "../../kit/Mark";
import type { Close } from "../../server/api";

interface Props {
  watch: Close["leak_watch"];
  onWatch: (value: "dry" | "wet") => void;
}

/** Two looks ten minutes apart; the clock between them runs on the Bench too. */
export function LeakWatch({ watch, onWatch }: Props) {
  const left = useSecondsLeft(watch.second_from);
  const isRunning = left !== undefined && left > 0;
  const which = watch.second_from ? "Second watch" : "First watch";
  return (
    <Row $gap={1} role="timer" aria-label="Second leak watch">
      {isRunning ? <Big $size="2.2rem">{clock(left)}</Big> : null}
      {watch.done ? <Mark kind="good">Dry twice</Mark> : null}
      {isRunning || watch.done ? null : (
        <Button tone="act" aria-label={`${which}: dry`} onPress={() => onWatch("dry")}>
          {`${which}: dry`}
        </Button>
      )}
      <Button aria-label="Leak watch: wet" onPress={() => onWatch("wet")}>
        Wet
      </Button>
    </Row>
  );
}
