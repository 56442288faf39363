import type { Fit } from "../../server/api";
import { Big, Quiet, Row } from "../../kit/layout";

/** How much is left of this phase, readable from two metres; each kind of work has its own line below. */
export function StillToDo({ fit }: { fit: Fit }) {
  const left = fit.still_to_do.reduce((sum, item) => sum + item.left, 0);
  const later = fit.bleeds && fit.phase === "before";
  return (
    <Row $gap={3}>
      <h2>{later ? "Before the bleed" : "Still to do"}</h2>
      <Big $size="2.2rem" data-figure="left">
        {left}
        <small> to do</small>
      </Big>
      {later ? <Quiet>The lid, the last figures and the paint marks come after the bleed.</Quiet> : null}
    </Row>
  );
}
