import styled from "styled-components";
import type { Job, Knowledge } from "../../app/api";
import { Button } from "../../kit/Button";
import { Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { Notice } from "../../kit/Notice";

interface Props {
  job: Job;
  routes: Knowledge["routes"];
  onChoose: (route: string) => void;
}

const Name = styled.p`
  font-size: 2.4rem;
  line-height: 1.05;
  font-weight: 800;
  letter-spacing: -0.02em;
`;

const Others = styled.div`
  border-top: 1px solid ${(p) => p.theme.line};
  padding-top: 1rem;
  display: grid;
  gap: 0.5rem;
`;

export function RouteChoice({ job, routes, onChoose }: Props) {
  const { proposal, route, reason, against_proposal } = job.ask;
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
      {against_proposal ? <Notice tone="warn">{against_proposal}</Notice> : null}
      {!route && proposal && !job.stop ? (
        <Button tone="act" onPress={() => onChoose(proposal.route)}>
          {`Take this route: ${shown?.label.toLowerCase() ?? ""}`}
        </Button>
      ) : null}
      {job.stop ? null : (
        <Others>
          <Quiet>Or pick another:</Quiet>
          <Row $gap={1}>
            {routes
              .filter((each) => each.id !== route && each.id !== (route ? "" : proposal?.route))
              .map((each) => (
                <Button key={each.id} onPress={() => onChoose(each.id)}>
                  {each.label}
                </Button>
              ))}
          </Row>
        </Others>
      )}
    </>
  );
}
