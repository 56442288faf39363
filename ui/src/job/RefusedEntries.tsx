import { useEffect, useRef } from "react";
import { createPortal } from "react-dom";
import styled from "styled-components";
import { SetApart } from "../pieces/SetApart";
import { isRefused } from "../server/outbox";
import type { Outbox } from "../server/outbox";
import type { Parcel } from "../server/outboxStore";
import { useOutbox, useOutboxState } from "../server/useOutbox";
import { panelOf } from "./enteredAt";

/** Stays in sight however far down the page the entry was made. */
const InView = styled.div`
  display: grid;
  gap: 0.5rem;
  position: sticky;
  top: 0.75rem;
  z-index: 2;
  > div {
    box-shadow: 0 0.4rem 1.2rem rgb(0 0 0 / 25%);
  }
`;

const InPanel = styled.div`
  order: -1;
  scroll-margin: 1rem;
`;

/**
 * What the server would not have, with the reason: in the panel where it was entered, else above all. It goes when it
 * was answered or read, when the stage is left, and when the job is signed.
 */
export function RefusedEntries({ jobId, isSigned }: { jobId: string; isSigned: boolean }) {
  const outbox = useOutbox();
  const apart = useOutboxState().apart.filter((parcel) => parcel.jobId === jobId);
  const shown = useRef<Parcel[]>([]);
  useEffect(() => {
    shown.current = apart;
    if (isSigned) dropRefused(outbox, apart);
  });
  useEffect(() => () => dropRefused(outbox, shown.current), [outbox]);
  const above = apart.filter((parcel) => panelOf(parcel.entry.id) === undefined);
  return (
    <>
      {above.length > 0 ? (
        <InView>
          {above.map((parcel) => (
            <SetApart key={parcel.entry.id} parcel={parcel} />
          ))}
        </InView>
      ) : null}
      {apart.map((parcel) => {
        const panel = panelOf(parcel.entry.id);
        return panel ? createPortal(<AtEntry parcel={parcel} />, panel, parcel.entry.id) : null;
      })}
    </>
  );
}

function dropRefused(outbox: Outbox, parcels: Parcel[]): void {
  parcels.filter(isRefused).forEach((parcel) => outbox.discard(parcel.entry.id));
}

function AtEntry({ parcel }: { parcel: Parcel }) {
  const here = useRef<HTMLDivElement>(null);
  useEffect(() => {
    // in newer browsers it answers with a promise, which is no clean-up of an effect
    void here.current?.scrollIntoView({ block: "nearest" });
  }, []);
  return (
    <InPanel ref={here}>
      <SetApart parcel={parcel} />
    </InPanel>
  );
}
