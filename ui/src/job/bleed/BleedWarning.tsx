import styled from "styled-components";
import type { Bleed } from "../../server/api";
import { Notice } from "../../kit/Notice";

const Loud = styled.strong`
  font-size: 1.5rem;
  line-height: 1.15;
`;

/** Runs ahead of the reservoir: says it before the port is uncovered. */
export function BleedWarning({ reservoir }: { reservoir: Bleed["reservoir"] }) {
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
          <Loud>Top up now, nipple shut.</Loud> The port would be uncovered in {reservoir.strokes_to_uncover}{" "}
          strokes.
        </Notice>
      );
    case "stop":
      return (
        <Notice tone="stop" live>
          <Loud>Stop. The next stroke may uncover the port.</Loud> Shut the nipple and top up (T). If the port
          was uncovered, say so (X).
        </Notice>
      );
  }
}
