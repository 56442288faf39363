import { useState } from "react";
import { Button } from "../../kit/Button";
import { Big, Row } from "../../kit/layout";
import { clock, useSecondsLeft } from "../../kit/useSecondsLeft";
import { Mark } from "../../kit/Mark";
import type { Close } from "../../server/api";

interface Props {
  watch: Close["leak_watch"];
  onWatch: (value: "dry" | "wet", place?: string) => void;
}

/** Two looks ten minutes apart; the clock between them runs on the Bench too. What is wet is named. */
export function LeakWatch({ watch, onWatch }: Props) {
  const [isWet, setIsWet] = useState(false);
  const left = useSecondsLeft(watch.second_from);
  const isRunning = left !== undefined && left > 0;
  const which = watch.second_from ? "Second watch" : "First watch";
  const say = (place?: string) => {
    onWatch("wet", place);
    setIsWet(false);
  };
  if (isWet) {
    return (
      <Row $gap={1} data-wide role="group" aria-label="Wet at">
        {(watch.places ?? []).map((place) => (
          <Button key={place.id} onPress={() => say(place.id)}>
            {place.label}
          </Button>
        ))}
        <Button onPress={() => say()}>Place not seen</Button>
        <Button onPress={() => setIsWet(false)}>Not wet after all</Button>
      </Row>
    );
  }
  return (
    <Row $gap={1} role="timer" aria-label="Second leak watch">
      {isRunning ? <Big $size="2.2rem">{clock(left)}</Big> : null}
      {watch.done ? <Mark kind="good">Dry twice</Mark> : null}
      {isRunning || watch.done ? null : (
        <Button tone="act" aria-label={`${which}: dry`} onPress={() => onWatch("dry")}>
          {`${which}: dry`}
        </Button>
      )}
      <Button aria-label="Leak watch: wet" onPress={() => setIsWet(true)}>
        Wet
      </Button>
    </Row>
  );
}
