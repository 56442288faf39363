import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import type { Ask, Knowledge } from "../../server/api";
import { knowledgeQuery } from "../../server/queries";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { Panel, Quiet, Row, Split } from "../../kit/layout";
import { Loaded } from "../../kit/Loaded";
import { money } from "../../kit/money";
import { Notice } from "../../kit/Notice";
import { Room, Rooms } from "../../kit/Rooms";
import { NextStage } from "../NextStage";
import type { StageProps } from "../StageProps";
import { useEntries } from "../useEntries";
import { Cost } from "./Cost";
import { EveryFinding } from "./EveryFinding";
import { FoundSoFar } from "../../pieces/FoundSoFar";
import { FoundWhere } from "./FoundWhere";
import { History } from "./History";
import { IntakeAnswers } from "./IntakeAnswers";
import { NextTests } from "../../pieces/NextTests";
import { Notes } from "./Notes";
import { Ranks } from "../../pieces/Ranks";
import { RedFlags } from "./RedFlags";
import { ReferralPanel } from "./ReferralPanel";
import { RouteChoice } from "./RouteChoice";
import { Wait } from "./Wait";
import { WherePanel } from "./WherePanel";

const Column = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 1.2rem;
`;

export function AskStage({ job, view: ask }: StageProps<"ask">) {
  const knowledge = useQuery(knowledgeQuery);
  const { add } = useEntries(job, "ask");
  const isOpen = !job.signed && !job.referred && !job.on_hold;
  const [seen, setSeen] = useState<{ finding: string; value: string }>();
  const find = (tables: Knowledge) => (finding: string, value: string) => {
    const ordinary = tables.findings.find((row) => row.id === finding)?.ordinary;
    if (ask.may_be_at[finding] && value !== ordinary) setSeen({ finding, value });
    else add("finding", { finding, value });
  };
  return (
    <Loaded query={knowledge} isPart>
      {(tables) => (
        <>
          <RedFlags
            flags={ask.flags}
            isOpen={isOpen}
            onLift={(flag, lead, reason) => add("lifted", { flag, lead, reason })}
          />
          {job.stop && !job.signed ? (
            <ReferralPanel
              job={job}
              onRefer={(name, to) => add("referred", { name, ...(to ? { to } : {}) })}
              onReturn={(note) => add("returned", { note })}
            />
          ) : null}
          {seen && isOpen ? (
            <FoundWhere
              {...seen}
              ask={ask}
              findings={tables.findings}
              onSay={(place) => {
                add("finding", { ...seen, ...(place ? { place } : {}) });
                setSeen(undefined);
              }}
              onCancel={() => setSeen(undefined)}
            />
          ) : null}
          <Split $left="1.35fr">
            <Column>
              <Panel>
                {isOpen ? (
                  <EntryField
                    label="What the rider feels, in their own words"
                    value={ask.complaint ?? ""}
                    isLeftByEnter
                    onFinish={(text) => add("complaint", { text })}
                  />
                ) : (
                  <p>{ask.complaint ?? "No complaint written down."}</p>
                )}
                <Notes notes={ask.notes} isOpen={isOpen} onAdd={(text) => add("note", { text })} />
                <FoundSoFar
                  found={ask.findings}
                  at={ask.found_at}
                  places={ask.places}
                  findings={tables.findings}
                  isOpen={isOpen}
                  onClear={(finding, value) => add("finding_cleared", { finding, value })}
                />
              </Panel>
              {isOpen ? (
                <>
                  <NextTests tests={ask.next_tests} findings={tables.findings} onFind={find(tables)} />
                  <EveryFinding
                    ask={ask}
                    findings={tables.findings}
                    flags={tables.red_flags}
                    onFind={find(tables)}
                    onReport={(flag, part) => add("flag", { flag, ...(part ? { part } : {}) })}
                  />
                </>
              ) : null}
            </Column>
            <Column>
              <Panel>
                <h2>Recommended repair</h2>
                <RouteChoice
                  job={job}
                  ask={ask}
                  isOpen={isOpen}
                  routes={tables.routes}
                  onChoose={(route) => add("route", { route })}
                >
                  <WherePanel
                    ask={ask}
                    isOpen={isOpen}
                    hasKeys={!seen && ask.now?.[0]?.id === "where"}
                    onChange={(places) => add("at", { places })}
                  />
                </RouteChoice>
                {ask.offers.map((offer) => (
                  <Quiet key={offer}>
                    <Link to={`/machines/${job.machine.id}`}>{offer}</Link>
                  </Quiet>
                ))}
                {isOpen
                  ? (ask.repairs ?? []).map((repair) => (
                      <Row key={repair.id} $gap={1}>
                        <Quiet>{repair.why}</Quiet>
                        <Button onPress={() => add("route", { route: repair.id, reason: repair.why })}>
                          {`Repair: ${repair.label}`}
                        </Button>
                      </Row>
                    ))
                  : null}
                {isOpen && ask.stand && ask.wait === undefined ? (
                  <Notice tone="warn">
                    <span>Foam tells nothing about the fluid. Let it stand, then look again.</span>
                    <Button onPress={() => add("wait", { wait: ask.stand?.wait })}>
                      {`Start: ${ask.stand.label.toLowerCase()}`}
                    </Button>
                  </Notice>
                ) : null}
                {ask.route && !job.stop ? <NextStage job={job} stage="ask" mayBeOpen /> : null}
              </Panel>
              <Panel>
                <h2>What it points to</h2>
                <Ranks
                  ranks={ask.ranks}
                  findings={tables.findings}
                  isEmpty={Object.keys(ask.findings).length === 0}
                  {...(isOpen ? { onRoute: (route, reason) => add("route", { route, reason }) } : {})}
                />
              </Panel>
              <Rooms start={(ask.against_record ?? []).length > 0 ? "intake" : undefined}>
                <Room
                  id="intake"
                  title="Intake"
                  left={ask.intake.filter((row) => !row.confirmed).length}
                  said={answersSaid(ask.intake.filter((row) => row.confirmed).length)}
                >
                  <IntakeAnswers
                    isOpen={isOpen && !seen}
                    intake={ask.intake}
                    against={ask.against_record ?? []}
                    onAnswer={(question, value) => add("intake", { question, value })}
                  />
                </Room>
                <Room id="cost" title="Time and money" said={costSaid(ask.costs.estimate)}>
                  <Cost costs={ask.costs} />
                </Room>
                <Room id="history" title="This circuit before" said={`${ask.history.length} on record`}>
                  <History history={ask.history} />
                </Room>
                <Room id="waiting" title="Waiting" said={ask.wait ? undefined : "nothing to wait for"}>
                  <Wait
                    ask={ask}
                    waits={tables.waits}
                    isOpen={isOpen}
                    onWait={(wait, until) => add("wait", { wait, ...(until ? { until } : {}) })}
                  />
                </Room>
              </Rooms>
            </Column>
          </Split>
        </>
      )}
    </Loaded>
  );
}

function answersSaid(count: number): string {
  return count === 1 ? "1 answer" : `${count} answers`;
}

function costSaid(estimate: Ask["costs"]["estimate"]): string {
  if (!estimate) return "worked out when a repair is chosen";
  return `${estimate.minutes} min, ${money(estimate.total_minor, estimate.currency)}`;
}
