import { Link } from "react-router";
import styled from "styled-components";
import type { Ask } from "../../server/api";
import { whenSaid } from "../../kit/format";
import { Quiet } from "../../kit/layout";

const List = styled.ul`
  display: grid;
  gap: 0.7rem;
`;

/** What was done to the same circuit before. */
export function History({ history }: { history: Ask["history"] }) {
  return (
    <>
      {history.length === 0 ? <Quiet>No earlier job on record.</Quiet> : null}
      <List>
        {history.map((job) => (
          <li key={job.id}>
            <Link to={`/jobs/${job.id}/close`}>
              {whenSaid(job.closed_at)}: {job.route ?? "no route"}
            </Link>
            <p>{[job.complaint, job.fluid, job.lever].filter(Boolean).join(" ")}</p>
          </li>
        ))}
      </List>
    </>
  );
}
