import { useState } from "react";
import type { Bleed, Job } from "../../server/api";
import { Button } from "../../kit/Button";
import { Panel, Quiet, Row } from "../../kit/layout";
import { unhurried } from "../../kit/unhurried";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  bleed: Bleed;
  isOpen: boolean;
}

/** Linked brakes: the points in the order of the service information, confirmed one by one before fluid moves. */
export const OrderPanel = unhurried(function OrderPanel({ job, bleed, isOpen }: Props) {
  const { add } = useEntries(job, "bleed");
  const [picked, setPicked] = useState<string[]>([]);
  if (!bleed.order_wanted) return null;
  const pick = (id: string) => {
    const next = [...picked, id];
    if (next.length < bleed.points.length) setPicked(next);
    else {
      add("order", { points: next });
      setPicked([]);
    }
  };
  const left = bleed.points.filter((point) => !picked.includes(point.id));
  const place = picked.length + 1;
  return (
    <Panel>
      <h2>Linked brakes: the order of the service information</h2>
      <Quiet>
        Read it line by line and pick the points as they come there. The furthest first is no rule for linked
        brakes.
      </Quiet>
      {bleed.service_order && picked.length === 0 ? (
        <ol aria-label="Order of the service information">
          {bleed.service_order.map((id) => (
            <li key={id}>{bleed.points.find((point) => point.id === id)?.label ?? id}</li>
          ))}
        </ol>
      ) : null}
      {isOpen ? (
        <Row $gap={1}>
          {left.map((point) => (
            <Button
              key={point.id}
              tone={bleed.service_order ? "plain" : "act"}
              onPress={() => pick(point.id)}
            >
              {`${place}. ${point.label}`}
            </Button>
          ))}
          {picked.length > 0 ? <Button onPress={() => setPicked([])}>Start the order again</Button> : null}
        </Row>
      ) : null}
    </Panel>
  );
});
