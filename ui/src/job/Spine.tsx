import { NavLink } from "react-router";
import styled, { useTheme } from "styled-components";
import type { Job } from "../server/api";
import { SpineCap, SpineFitting, SpineNipple } from "../drawings/SpineParts";
import { stageNames } from "../words/stages";

const Line = styled.nav`
  padding: 1rem 0 1rem 1rem;
  background: ${(p) => p.theme.sunk};
  border-right: 1px solid ${(p) => p.theme.line};
  svg {
    display: block;
    flex: none;
  }
  a {
    display: flex;
    align-items: center;
    gap: 0.5rem;
    color: ${(p) => p.theme.ink};
    text-decoration: none;
    border-radius: 0.5rem 0 0 0.5rem;
    padding-right: 0.8rem;
  }
  a.active {
    background: ${(p) => p.theme.ground};
    box-shadow: inset 0 0 0 1px ${(p) => p.theme.line};
  }
  strong {
    display: block;
    font-size: 1.15rem;
    line-height: 1.1;
  }
  a.active strong {
    font-weight: 800;
  }
  small {
    color: ${(p) => p.theme.quiet};
    font-size: 0.9rem;
  }
`;

const WORDS = { done: "done", current: "now", ahead: "to come" };

/** The job drawn as its own hydraulic line: reservoir, a fitting for each stage, nipple. */
export function Spine({ job }: { job: Job }) {
  const theme = useTheme();
  const word = (stage: Job["stages"][number]) => (stage.unresolved ? "unresolved" : WORDS[stage.status]);
  return (
    <Line aria-label="Stages of this job">
      <SpineCap theme={theme} />
      <ol>
        {job.stages.map((stage, index) => (
          <li key={stage.id}>
            <NavLink to={`/jobs/${job.id}/${stage.id}`} replace>
              <SpineFitting
                theme={theme}
                filledAbove={index === 0 || job.stages[index - 1]?.status === "done"}
                filledBelow={stage.status === "done"}
                current={stage.status === "current"}
                bubble={Boolean(stage.unresolved)}
              />
              <span>
                <strong>{stageNames[stage.id]}</strong>
                <small>{word(stage)}</small>
              </span>
            </NavLink>
          </li>
        ))}
      </ol>
      <SpineNipple theme={theme} filled={job.signed} />
    </Line>
  );
}
