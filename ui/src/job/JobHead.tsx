import { Link } from "react-router";
import styled from "styled-components";
import type { Job, Stage } from "../server/api";
import { SetApart } from "../pieces/SetApart";
import { useOutboxState } from "../server/useOutbox";
import { Row } from "../kit/layout";
import { Mark } from "../kit/Mark";
import { Notice } from "../kit/Notice";
import { Worker } from "./Worker";
import { stageNames, stageQuestions } from "../words/stages";

const Head = styled.header`
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 1.5rem;
  align-items: baseline;
  justify-content: space-between;
  p {
    color: ${(p) => p.theme.quiet};
  }
  h1 small {
    font-size: 1.05rem;
    font-weight: 400;
    letter-spacing: 0;
    color: ${(p) => p.theme.quiet};
    padding-left: 0.6rem;
  }
`;

export function JobHead({ job, stage }: { job: Job; stage: Stage }) {
  return (
    <>
      <Head>
        <h1>
          {stageNames[stage]}
          <small>{stageQuestions[stage]}</small>
        </h1>
        <Row>
          <Link to={`/machines/${job.machine.id}?circuit=${job.circuit.id}`}>
            {job.machine.name}: {job.circuit.name}
          </Link>
          {job.signed ? null : <Worker />}
          {job.signed ? <Mark kind="good">Signed off</Mark> : null}
        </Row>
      </Head>
      {job.stop && stage !== "ask" ? (
        <Notice tone="stop" live>
          <strong>Do not use.</strong> {job.stop}
        </Notice>
      ) : null}
      {job.on_hold ? (
        <Notice tone="stop">
          <strong>On hold, not released.</strong> {job.on_hold.reason}. It is resumed under Close.
        </Notice>
      ) : null}
      {job.do_not_use && !job.stop && !job.on_hold && stage !== "ask" ? (
        <Notice tone="warn">
          <strong>Do not use the machine.</strong> {job.do_not_use}. This job puts it right.
        </Notice>
      ) : null}
      <RefusedEntries jobId={job.id} />
    </>
  );
}

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

/** What the server would not have: kept, with the reason, until the mechanic has read it. */
function RefusedEntries({ jobId }: { jobId: string }) {
  const apart = useOutboxState().apart.filter((parcel) => parcel.jobId === jobId);
  if (apart.length === 0) return null;
  return (
    <InView>
      {apart.map((parcel) => (
        <SetApart key={parcel.entry.id} parcel={parcel} />
      ))}
    </InView>
  );
}
