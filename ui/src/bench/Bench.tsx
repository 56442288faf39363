import { useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { Choice } from "../kit/Choice";
import { Loaded } from "../kit/Loaded";
import { Column, Page, Panel, Quiet, Row, Split } from "../kit/layout";
import { useArrived } from "../kit/useArrived";
import { useTitle } from "../kit/useTitle";
import { JobList } from "../pieces/JobList";
import { pagesOf } from "../server/pagesOf";
import { dueQuery, jobsQuery, machinesQuery } from "../server/queries";
import { DayPlanner } from "./DayPlanner";
import { DuePanel } from "./DuePanel";
import { FirstMachine } from "./FirstMachine";
import { StartJob } from "./StartJob";

const VIEWS = [
  { id: "jobs", label: "Jobs" },
  { id: "plan", label: "Plan for today" },
];
type View = "jobs" | "plan";

export function Bench() {
  useTitle("Bench");
  const [view, setView] = useState<View>("jobs");
  const query = useInfiniteQuery(jobsQuery("open"));
  // shown together: what falls due would push aside what stands below it
  const due = useQuery(dueQuery);
  const { items, more } = pagesOf(query);
  const held = items.filter((job) => job.on_hold);
  // what is open is all of it on the bench, however many pages it takes
  useEffect(() => {
    if (more && !query.isFetching) more();
  });
  const machines = useInfiniteQuery(machinesQuery({ limit: 1 }));
  if (machines.data && pagesOf(machines).items.length === 0) return <FirstMachine />;
  if (due.isPending) return <Loaded query={due}>{() => null}</Loaded>;
  return (
    <Loaded query={query}>
      {() => (
        <Page>
          <Split $left="2.2fr">
            <Panel>
              <Row>
                <h1>Bench</h1>
                {items.length > 0 ? (
                  <Choice
                    label="Show"
                    isLabelHidden
                    options={VIEWS}
                    value={view}
                    onChange={(id) => setView(id as View)}
                  />
                ) : null}
              </Row>
              {items.length === 0 ? (
                <Quiet>No open jobs. Start one on the right; its next step will be listed here.</Quiet>
              ) : null}
              {view === "plan" ? (
                <DayPlanner />
              ) : (
                <>
                  <JobList label="Open jobs" jobs={items.filter((job) => !job.on_hold)} />
                  {held.length > 0 ? (
                    <>
                      <h2>On hold, not released</h2>
                      <JobList label="On hold, not released" jobs={held} />
                    </>
                  ) : null}
                  <OtherJobs state="referred" title="Referred" />
                  <OtherJobs state="closed" title="Signed off" />
                </>
              )}
            </Panel>
            <Column>
              <DuePanel />
              <StartJob />
            </Column>
          </Split>
        </Page>
      )}
    </Loaded>
  );
}

/** Jobs that are off the bench; nothing where there are none. */
function OtherJobs({ state, title }: { state: "referred" | "closed"; title: string }) {
  const query = useInfiniteQuery(jobsQuery(state));
  const { items, more } = pagesOf(query);
  const isThere = useArrived(query.data);
  if (!isThere || items.length === 0) return null;
  return (
    <>
      <h2>{title}</h2>
      <JobList label={title} jobs={items} onMore={more} />
    </>
  );
}
