import { useQuery } from "@tanstack/react-query";
import { jobsQuery } from "../app/queries";
import { Loaded } from "../kit/Loaded";
import { Page, Panel, Quiet, Split } from "../kit/layout";
import { useTitle } from "../kit/useTitle";
import { JobRow } from "./JobRow";
import { StartJob } from "./StartJob";

export function Bench() {
  useTitle("Bench");
  const open = useQuery(jobsQuery("open"));
  const closed = useQuery(jobsQuery("closed"));
  return (
    <Loaded query={open}>
      {({ items }) => (
        <Page>
          <h1>Bench</h1>
          <Split $left="2.2fr">
            <Panel>
              <h2>Open jobs</h2>
              {items.length === 0 ? (
                <Quiet>Nothing on the bench. Start a job on one of the machines.</Quiet>
              ) : null}
              <ul>
                {items.map((job) => (
                  <JobRow key={job.id} job={job} />
                ))}
              </ul>
              {closed.data && closed.data.items.length > 0 ? (
                <>
                  <h2>Signed off</h2>
                  <ul>
                    {closed.data.items.map((job) => (
                      <JobRow key={job.id} job={job} />
                    ))}
                  </ul>
                </>
              ) : null}
            </Panel>
            <StartJob />
          </Split>
        </Page>
      )}
    </Loaded>
  );
}
