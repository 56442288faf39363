import { useInfiniteQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import { Button } from "../kit/Button";
import { Loaded } from "../kit/Loaded";
import { Page, Panel, Quiet, Split } from "../kit/layout";
import { useTitle } from "../kit/useTitle";
import { JobRow } from "../pieces/JobRow";
import { pagesOf } from "../server/pagesOf";
import { jobsQuery } from "../server/queries";
import { StartJob } from "./StartJob";

export function Bench() {
  useTitle("Bench");
  const query = useInfiniteQuery(jobsQuery("open"));
  const { items, more } = pagesOf(query);
  // what is open is all of it on the bench, however many pages it takes
  useEffect(() => {
    if (more && !query.isFetching) more();
  });
  return (
    <Loaded query={query}>
      {() => (
        <Page>
          <Split $left="2.2fr">
            <Panel>
              <h1>Bench</h1>
              {items.length === 0 ? (
                <Quiet>No job is open. Start one beside; what it waits for will stand here.</Quiet>
              ) : null}
              <ul aria-label="Open jobs">
                {items.map((job) => (
                  <JobRow key={job.id} job={job} />
                ))}
              </ul>
              <SignedOff />
            </Panel>
            <StartJob />
          </Split>
        </Page>
      )}
    </Loaded>
  );
}

function SignedOff() {
  const { items, more } = pagesOf(useInfiniteQuery(jobsQuery("closed")));
  if (items.length === 0) return null;
  return (
    <>
      <h2>Signed off</h2>
      <ul aria-label="Signed off">
        {items.map((job) => (
          <JobRow key={job.id} job={job} />
        ))}
      </ul>
      {more ? (
        <div>
          <Button onPress={more}>Show older ones</Button>
        </div>
      ) : null}
    </>
  );
}
