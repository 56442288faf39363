import styled from "styled-components";
import type { Bleed, Job } from "../../server/api";
import { Button } from "../../kit/Button";
import { Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { useEntries } from "../useEntries";

type Check = Bleed["checks"]["start"][number];

interface Props {
  job: Job;
  label: string;
  checks: Check[];
  isOpen: boolean;
}

const List = styled.ul`
  display: grid;
  gap: 0.4rem;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0.3rem 1rem;
    align-items: center;
    padding: 0.45rem 0;
    border-top: 1px solid ${(p) => p.theme.line};
  }
  p {
    grid-column: 1 / -1;
  }
`;

/** Looks that each want an answer: the good one lets the work go on. */
export function CheckList({ job, label, checks, isOpen }: Props) {
  const { add } = useEntries(job, "bleed");
  return (
    <List aria-label={label}>
      {checks.map((check) => (
        <li key={check.id}>
          <strong>{check.label}</strong>
          <Row $gap={1}>
            {check.good ? <Mark kind="good">{check.answers[check.answer ?? ""] ?? "Done"}</Mark> : null}
            {isOpen && !check.good
              ? Object.entries(check.answers).map(([id, said]) => (
                  <Button
                    key={id}
                    aria-label={`${check.label}: ${said}`}
                    onPress={() => add("check", { check: check.id, value: id })}
                  >
                    {said}
                  </Button>
                ))
              : null}
          </Row>
          {check.good ? null : check.answer ? (
            <p>
              <Mark kind="stop">{check.answers[check.answer] ?? check.answer}</Mark> {check.does}
            </p>
          ) : (
            <Quiet>{check.does}</Quiet>
          )}
        </li>
      ))}
    </List>
  );
}
