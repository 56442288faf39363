import { Link } from "react-router";
import styled from "styled-components";
import type { JobLine } from "../server/api";
import { MiniSpine } from "../drawings/MiniSpine";
import { referralSaid } from "../words/referralSaid";
import { stageNames } from "../words/stages";
import { waitSaid } from "../words/waitSaid";
import { whenSaid } from "../kit/format";
import { Mark } from "../kit/Mark";
import { PHONE } from "../kit/tokens";
import { useNow } from "../kit/useNow";

const Item = styled.li`
  border-top: 1px solid ${(p) => p.theme.line};
  a {
    display: grid;
    grid-template-columns: minmax(0, 1.3fr) 9.5rem minmax(0, 1.3fr);
    gap: 0.3rem 1.1rem;
    align-items: center;
    padding: 0.3rem 0.6rem;
    color: inherit;
    text-decoration: none;
    border-radius: 0.4rem;
    @media ${PHONE} {
      grid-template-columns: minmax(0, 1fr);
      padding: 0.6rem 0.2rem;
    }
  }
  a:hover {
    background: ${(p) => p.theme.actSoft};
  }
  small {
    display: block;
  }
  strong {
    font-size: 1.1rem;
    line-height: 1.15;
    display: block;
  }
  small {
    color: ${(p) => p.theme.quiet};
    font-size: 0.95rem;
  }
`;

/** What is longer is read in the job itself. */
const Clamped = styled.span<{ $lines: number }>`
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: ${(p) => p.$lines};
  overflow: hidden;
`;

const Waits = styled.p`
  font-weight: 650;
  line-height: 1.2;
  small {
    display: block;
    font-weight: 400;
  }
`;

export function JobRow({ job }: { job: JobLine }) {
  const now = useNow();
  return (
    <Item>
      <Link to={`/jobs/${job.id}/${job.current}`}>
        <div>
          <strong>
            <Clamped $lines={2}>{`${job.machine.name}: ${job.circuit.name}`}</Clamped>
          </strong>
          <small>
            <Clamped $lines={1}>{job.complaint ?? "No complaint written down yet."}</Clamped>
          </small>
        </div>
        <MiniSpine stages={job.stages} stopped={Boolean(job.stop)} />
        {job.damaged ? (
          <div>
            <Mark kind="stop">Damaged</Mark> <small>This record cannot be read. See docs/running.md.</small>
          </div>
        ) : job.referred ? (
          <div>
            <Mark kind="stop">Referred</Mark> <small>{referralSaid(job.referred)}</small>
          </div>
        ) : job.on_hold ? (
          <div>
            <Mark kind="stop">On hold, not released</Mark>{" "}
            <small>
              <Clamped $lines={2}>{job.on_hold.reason}</Clamped>
            </small>
          </div>
        ) : job.stop ? (
          <div>
            <Mark kind="stop">Do not use</Mark>{" "}
            <small>
              <Clamped $lines={2}>{job.stop}</Clamped>
            </small>
          </div>
        ) : job.signed ? (
          <div>
            <Mark kind="good">Signed off</Mark> <small>{whenSaid(job.closed_at ?? job.opened_at)}</small>
          </div>
        ) : (
          <Waits>
            <small>
              {`${stageNames[job.current]} waits for`}
              {job.planned_minutes === undefined ? null : ` · ${job.planned_minutes} min planned`}
            </small>
            <Clamped $lines={2}>{job.waits_for}</Clamped>
            {job.open ? <small>{`Open to the air: ${job.open.join(", ")}. Cover it.`}</small> : null}
            {job.do_not_use ? <small>Do not use: {job.do_not_use}</small> : null}
            {job.wait ? <small>{waitSaid(job.wait, now)}</small> : null}
          </Waits>
        )}
      </Link>
    </Item>
  );
}
