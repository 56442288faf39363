import { useEffect, useRef } from "react";
import { NavLink } from "react-router";
import styled, { useTheme } from "styled-components";
import type { Job, Stage } from "../server/api";
import { PHONE } from "../kit/tokens";
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
  @media ${PHONE} {
    padding: 0.35rem 0.75rem 0;
    border-right: 0;
    border-bottom: 1px solid ${(p) => p.theme.line};
    overflow-x: auto;
    > svg {
      display: none;
    }
    ol {
      display: flex;
    }
    /* the drawing lies on its side: as wide as it was high, so that the line goes on from one to the next */
    a {
      flex-direction: column;
      gap: 0;
      width: 3.6rem;
      padding: 0 0 0.35rem;
      border-radius: 0.5rem 0.5rem 0 0;
      text-align: center;
    }
    a svg {
      width: 2.4rem;
      height: 3.6rem;
      margin: -0.6rem 0;
      transform: rotate(-90deg);
    }
    strong {
      font-size: 0.9rem;
    }
    small {
      font-size: 0.8rem;
    }
  }
`;

const WORDS = { done: "done", current: "now", ahead: "to come" };

/** The job drawn as its own hydraulic line: reservoir, a fitting for each stage, nipple. */
export function Spine({ job, shown }: { job: Job; shown: Stage }) {
  const theme = useTheme();
  const here = useRef<HTMLLIElement>(null);
  // on a phone the line is longer than the screen
  useEffect(() => {
    // newer browsers answer with a promise, which is no clean-up
    void here.current?.scrollIntoView({ block: "nearest", inline: "center" });
  }, [shown]);
  const word = (stage: Job["stages"][number]) => (stage.unresolved ? "unresolved" : WORDS[stage.status]);
  return (
    <Line aria-label="Stages of this job">
      <SpineCap theme={theme} />
      <ol>
        {job.stages.map((stage, index) => (
          <li key={stage.id} ref={stage.id === shown ? here : undefined}>
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
