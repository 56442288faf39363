import type { ReactNode } from "react";
import styled from "styled-components";
import type { Ask, Job, Knowledge } from "../../server/api";
import { Button } from "../../kit/Button";
import { Quiet } from "../../kit/layout";
import { Picker } from "../../kit/Picker";
import { Mark } from "../../kit/Mark";
import { Notice } from "../../kit/Notice";
import { stageNames } from "../../words/stages";

interface Props {
  job: Job;
  ask: Ask;
  isOpen: boolean;
  routes: Knowledge["routes"];
  onChoose: (route: string) => void;
  /** Where the repair works. */
  children: ReactNode;
}

/** Stages of a plan; those of a part of a stage say so. */
const PLAN: Record<string, string> = {
  ...stageNames,
  protect: "Strip (protect only)",
  compare: "Measure (new against old)",
};

const Name = styled.p`
  font-size: 2.4rem;
  line-height: 1.05;
  font-weight: 800;
  letter-spacing: -0.02em;
`;

export function RouteChoice({ job, ask, isOpen, routes, onChoose, children }: Props) {
  const { proposal, route, reason, against_proposal, plan } = ask;
  const shown = routes.find((each) => each.id === (route ?? proposal?.route));
  return (
    <>
      {shown ? (
        <div>
          <Mark kind={job.stop ? "stop" : route ? "good" : "quiet"}>
            {job.stop ? "Stop" : route ? "Chosen" : "Proposed"}
          </Mark>
          <Name>{shown.label}</Name>
          <p>{shown.does}</p>
        </div>
      ) : (
        <p>Not enough found yet to recommend a repair. Do the next best test, or pick one.</p>
      )}
      {(route ? reason : proposal?.reason) ? <Quiet>{route ? reason : proposal?.reason}</Quiet> : null}
      {plan && !job.stop ? (
        <p>
          {plan.stages.map((stage) => PLAN[stage] ?? stage).join(" · ")}
          <br />
          <small>{plan.why}</small>
        </p>
      ) : null}
      {against_proposal ? <Notice tone="warn">{against_proposal}</Notice> : null}
      {ask.against_request ? <Notice tone="warn">{ask.against_request}</Notice> : null}
      {children}
      {!route && proposal && !job.stop ? (
        <Button tone="act" onPress={() => onChoose(proposal.route)}>
          {`Choose: ${shown?.label ?? ""}`}
        </Button>
      ) : null}
      {isOpen ? (
        <Picker
          label={route || proposal ? "Or another repair" : "Or pick a repair"}
          options={[
            { id: "none", label: "none picked" },
            ...routes
              .filter((each) => each.id !== route && ask.routes.includes(each.id))
              .map(({ id, label }) => ({ id, label })),
          ]}
          value="none"
          onChange={onChoose}
        />
      ) : null}
    </>
  );
}
