import { useLocation } from "react-router";
import styled from "styled-components";
import { SetApart } from "../pieces/SetApart";
import { Button } from "../kit/Button";
import { Row } from "../kit/layout";
import { Notice } from "../kit/Notice";
import { useOutbox, useOutboxState } from "../server/useOutbox";

/** Over the work wherever one is: what was pressed and is not kept must not go unseen. */
const Loud = styled.div`
  position: sticky;
  top: 0;
  z-index: 3;
  display: grid;
  gap: 0.4rem;
  padding: 0 1rem;
  > div {
    box-shadow: 0 0.4rem 1.2rem rgb(0 0 0 / 25%);
  }
`;

/** What went wrong with entries on their way, in so far as the page of their job does not say it. */
export function OutboxFaults() {
  const outbox = useOutbox();
  const { unkept, apart, damaged, forgets, waiting, clock } = useOutboxState();
  const { pathname } = useLocation();
  const elsewhere = apart.filter((parcel) => !pathname.startsWith(`/jobs/${parcel.jobId}/`));
  return (
    <Loud>
      {unkept.length > 0 ? (
        <Notice tone="stop" live>
          <Row>
            <span>
              <strong>{`Not counted: ${unkept.map((kind) => kind.replaceAll("_", " ")).join(", ")}.`}</strong>{" "}
              This browser&apos;s storage is full, so it could not be kept. Make room, then enter it again.
            </span>
            <Button onPress={() => outbox.forgiveUnkept()}>Understood</Button>
          </Row>
        </Notice>
      ) : null}
      {clock ? (
        <Notice tone="warn" live>
          {clock}
        </Notice>
      ) : null}
      {forgets && waiting.length > 0 ? (
        <Notice tone="warn">
          This browser keeps nothing: do not reload or close the page until everything has arrived.
        </Notice>
      ) : null}
      {damaged > 0 ? (
        <Notice tone="warn">{`${damaged} damaged ${damaged === 1 ? "entry lies" : "entries lie"} in this browser and cannot be sent.`}</Notice>
      ) : null}
      {elsewhere.map((parcel) => (
        <SetApart key={parcel.entry.id} parcel={parcel} />
      ))}
    </Loud>
  );
}
