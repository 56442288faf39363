import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import type { Job } from "../../app/api";
import { knowledgeQuery } from "../../app/queries";
import { Choice } from "../../kit/Choice";
import { EntryField } from "../../kit/EntryField";
import { Panel, Quiet, Split } from "../../kit/layout";
import { Loaded } from "../../kit/Loaded";
import { Cautions } from "../Cautions";
import { useEntries } from "../useEntries";
import { RouteChoice } from "./RouteChoice";

export function AskStage({ job }: { job: Job }) {
  const knowledge = useQuery(knowledgeQuery);
  const { add } = useEntries(job, "ask");
  const ask = job.ask;
  return (
    <Loaded query={knowledge}>
      {({ findings, routes }) => (
        <>
          <Split $left="1.5fr">
            <Panel>
              <EntryField
                label="What the rider feels, in their own words"
                value={ask.complaint ?? ""}
                onFinish={(text) => add("complaint", { text })}
              />
              {findings
                .filter((finding) => ask.askable.includes(finding.id))
                .map((finding) => (
                  <Choice
                    key={finding.id}
                    label={finding.label}
                    hint={`${finding.how} ${finding.minutes} min.`}
                    options={Object.entries(finding.values).map(([id, label]) => ({ id, label }))}
                    value={ask.findings[finding.id]}
                    onChange={(value) => add("finding", { finding: finding.id, value })}
                  />
                ))}
            </Panel>
            <Panel>
              <h2>First way out</h2>
              <RouteChoice job={job} routes={routes} onChoose={(route) => add("route", { route })} />
              {ask.route && !job.stop ? (
                <Link to={`/jobs/${job.id}/choose`}>Go on to Choose</Link>
              ) : (
                <Quiet>Answer what you know. A finding left open counts as unknown, not as absent.</Quiet>
              )}
            </Panel>
          </Split>
          <Cautions stage="ask" />
        </>
      )}
    </Loaded>
  );
}
