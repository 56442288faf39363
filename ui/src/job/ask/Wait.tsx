import { useState } from "react";
import type { Ask, Knowledge } from "../../server/api";
import { Button } from "../../kit/Button";
import { DayField } from "../../kit/DayField";
import { Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { useNow } from "../../kit/useNow";
import { waitSaid } from "../../words/waitSaid";

interface Props {
  ask: Ask;
  waits: Knowledge["waits"];
  isOpen: boolean;
  onWait: (wait: string, until: string | undefined) => void;
}

/** Waits that cannot be hurried; they show on the Bench. */
export function Wait({ ask, waits, isOpen, onWait }: Props) {
  const [day, setDay] = useState("");
  const now = useNow();
  const until = day.trim() || undefined;
  return (
    <>
      {ask.wait ? (
        <div role="status">
          <Mark kind="quiet">{waitSaid(ask.wait, now)}</Mark>
        </div>
      ) : (
        <Quiet>Nothing to wait for.</Quiet>
      )}
      {isOpen ? (
        <>
          <Row $gap={1}>
            {waits
              .filter((wait) => wait.minutes !== undefined)
              .map((wait) => (
                <Button key={wait.id} onPress={() => onWait(wait.id, undefined)}>
                  {`${wait.label}, ${wait.minutes} min`}
                </Button>
              ))}
          </Row>
          <Row>
            <DayField label="Parts on order, expected on" value={day} onFinish={setDay} />
            <Button isDisabled={until === undefined} onPress={() => onWait("parts_on_order", until)}>
              Wait for parts
            </Button>
          </Row>
        </>
      ) : null}
    </>
  );
}
