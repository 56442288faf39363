import styled from "styled-components";
import type { Build, Job } from "../../server/api";
import { Button } from "../../kit/Button";
import { Quiet, Row } from "../../kit/layout";
import { Sign } from "../../kit/Mark";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  build: Build;
  isOpen: boolean;
}

const Check = styled.li`
  display: grid;
  grid-template-columns: 1.6rem minmax(0, 1fr) auto;
  gap: 0.8rem;
  align-items: center;
  padding: 0.7rem 0;
  border-top: 1px solid ${(p) => p.theme.line};
  @media (max-width: 60rem) {
    grid-template-columns: 1.6rem minmax(0, 1fr);
    > :last-child {
      grid-column: 2;
    }
  }
`;

/** All true before the unit goes on. */
export function Checks({ job, build, isOpen }: Props) {
  const { add } = useEntries(job, "build");
  return (
    <>
      {build.checks.length === 0 ? <Quiet>They come once something is stripped.</Quiet> : null}
      <ul>
        {build.checks.map((check) => (
          <Check key={check.id}>
            <Sign kind={check.pass ? "good" : check.pass === false ? "stop" : "quiet"} size={22} />
            <div>
              <strong>{check.label}</strong>
              <Quiet>{check.how}</Quiet>
            </div>
            {isOpen ? (
              <Row $gap={1}>
                <Button
                  aria-label={`${check.label}: passed`}
                  tone={check.pass ? "act" : "plain"}
                  onPress={() => add("check", { check: check.id, pass: true })}
                >
                  Passed
                </Button>
                <Button
                  aria-label={`${check.label}: failed`}
                  tone={check.pass === false ? "stop" : "plain"}
                  onPress={() => add("check", { check: check.id, pass: false })}
                >
                  Failed
                </Button>
              </Row>
            ) : (
              <strong>{check.pass ? "passed" : check.pass === false ? "failed" : "not checked"}</strong>
            )}
          </Check>
        ))}
      </ul>
    </>
  );
}
