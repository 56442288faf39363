import { Link } from "react-router";
import styled from "styled-components";
import type { Job, Stage } from "../server/api";
import { stageNames } from "../words/stages";

const On = styled(Link)`
  display: inline-flex;
  align-items: center;
  min-height: 3rem;
  padding: 0.45rem 1.1rem;
  border-radius: 0.5rem;
  background: ${(p) => p.theme.act};
  color: ${(p) => p.theme.onAct};
  font-weight: 650;
  text-decoration: none;
`;

interface Props {
  job: Job;
  stage: Stage;
  /** Something may still be asked in it: the next one can be begun. */
  mayBeOpen?: boolean;
}

/** The way on, once a stage is finished: to the next that is not. */
export function NextStage({ job, stage, mayBeOpen = false }: Props) {
  const at = job.stages.findIndex((each) => each.id === stage);
  const later = job.stages.slice(at + 1);
  const next = later.find((each) => each.status !== "done") ?? later[0];
  if ((job.stages[at]?.status !== "done" && !mayBeOpen) || !next) return null;
  return (
    <p>
      <On to={`/jobs/${job.id}/${next.id}`}>{`Go on to ${stageNames[next.id]}`}</On>
    </p>
  );
}
