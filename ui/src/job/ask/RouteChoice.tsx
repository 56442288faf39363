import styled from "styled-components";
import type { Job, Knowledge } from "../../app/api";
import { Button } from "../../kit/Button";
import { Quiet } from "../../kit/layout";
import { Picker } from "../../kit/Picker";
import { Mark } from "../../kit/Mark";
import { Notice } from "../../kit/Notice";
import { stageNames } from "../stages";

interface Props {
  job: Job;
  routes: Knowledge["routes"];
  onChoose: (route: string) => void;
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

export function RouteChoice({ job, routes, onChoose }: Props) {
  const { proposal, route, reason, against_proposal, plan } = job.ask;
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
        <p>Not enough yet to propose a way out. Do the next best test, or pick one.</p>
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
      {!route && proposal && !job.stop ? (
        <Button tone="act" onPress={() => onChoose(proposal.route)}>
          {`Take this route: ${shown?.label.toLowerCase() ?? ""}`}
        </Button>
      ) : null}
      {job.stop ? null : (
        <Picker
          label={route || proposal ? "Or another way out" : "Or pick a way out"}
          options={[
            { id: "none", label: "not chosen here" },
            ...routes.filter((each) => each.id !== route).map(({ id, label }) => ({ id, label })),
          ]}
          value="none"
          onChange={onChoose}
        />
      )}
    </>
  );
}
