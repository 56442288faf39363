import { Link } from "react-router";
import styled from "styled-components";
import { Panel, Quiet } from "../kit/layout";
import type { Lookup } from "../server/api";
import { stageNames } from "../words/stages";

const List = styled.ul`
  display: grid;
  gap: 0.8rem;
`;

/** Jobs and things on the shelf with these words. */
export function FoundThings({ jobs, things }: Pick<Lookup, "jobs" | "things">) {
  return (
    <>
      {jobs.length > 0 ? (
        <Panel aria-label="Jobs">
          <h2>Jobs</h2>
          <List>
            {jobs.map((job) => (
              <li key={job.id}>
                <Link to={`/jobs/${job.id}/${job.current}`}>{job.name}</Link>
                <Quiet>{[stageNames[job.current], job.complaint].filter(Boolean).join(": ")}</Quiet>
              </li>
            ))}
          </List>
        </Panel>
      ) : null}
      {things.length > 0 ? (
        <Panel aria-label="Shelf">
          <h2>Shelf</h2>
          <List>
            {things.map((thing) => (
              <li key={thing.id}>
                <Link to="/shelf">{thing.name}</Link> {thing.place ?? ""}
              </li>
            ))}
          </List>
        </Panel>
      ) : null}
    </>
  );
}
