import styled from "styled-components";
import type { Bleed } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { Notice } from "../../kit/Notice";

const Loud = styled.strong`
  font-size: 1.5rem;
  line-height: 1.15;
`;

interface Props {
  reservoir: Bleed["reservoir"];
  method: Bleed["method"];
}

/** Runs ahead of the reservoir: says it before the port is uncovered. */
export function BleedWarning({ reservoir, method }: Props) {
  const units = useUnits();
  const left = method.by_ml
    ? `${units.say("volume", reservoir.left_ml, 0)} are left.`
    : `The port would be uncovered in ${reservoir.strokes_to_uncover} strokes.`;
  switch (reservoir.warning) {
    case "ok":
      return null;
    case "soon":
      return (
        <Notice tone="warn" live>
          <Loud>Top up soon: {reservoir.strokes_to_top_up} more.</Loud>
        </Notice>
      );
    case "now":
      return (
        <Notice tone="stop" live>
          <Loud>{method.refill} now, nipple shut.</Loud> {left}
        </Notice>
      );
    case "stop":
      return (
        <Notice tone="stop" live>
          {method.supply === "reservoir" ? (
            <>
              <Loud>Stop. The next {method.by_ml ? "drop" : "stroke"} may uncover the port.</Loud> Shut the
              nipple and top up (T). If the port ran dry, press X.
            </>
          ) : (
            <>
              <Loud>Stop. The syringe is at its end.</Loud> Shut the nipple. {method.refill} (T).
            </>
          )}
        </Notice>
      );
  }
}
