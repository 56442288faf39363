import { useState } from "react";
import styled from "styled-components";
import type { Job, Measure } from "../../server/api";
import { Button } from "../../kit/Button";
import { Quiet, Row } from "../../kit/layout";
import { Sign } from "../../kit/Mark";
import type { MarkKind } from "../../kit/Mark";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  measure: Measure;
  isOpen: boolean;
}

type Look = Measure["inspection"][number];

const SIGNS: Record<string, MarkKind> = {
  reuse: "good",
  clean: "warn",
  flag: "stop",
  renew: "warn",
  unit: "stop",
};

const Question = styled.p`
  font-size: 1.7rem;
  line-height: 1.15;
  font-weight: 700;
`;

const Seen = styled.ul`
  display: grid;
  button {
    display: grid;
    grid-template-columns: 1.5rem minmax(0, 1fr) auto;
    gap: 0.7rem;
    align-items: center;
    width: 100%;
    min-height: 3rem;
    padding: 0.2rem 0.2rem;
    border: 0;
    border-top: 1px solid ${(p) => p.theme.line};
    background: none;
    text-align: left;
    cursor: pointer;
  }
`;

/** What was seen at each look; one that was seen wrong is looked at again. */
export function LooksSeen({ job, measure, isOpen }: Props) {
  const { add } = useEntries(job, "measure");
  const [again, setAgain] = useState<string>();
  const look = measure.inspection.find((each) => each.id === again);
  const options = Object.entries(look?.values ?? {});
  const answer = (value: string) => {
    if (look) add("finding", { check: look.id, value });
    setAgain(undefined);
  };
  const seen = measure.inspection.filter((each) => each.value !== undefined);
  return (
    <>
      {look && isOpen ? (
        <>
          <Question>{look.label}</Question>
          <Quiet>{look.how}</Quiet>
          <Row $gap={1}>
            {options.map(([value, label]) => (
              <Button key={value} onPress={() => answer(value)}>
                {label}
              </Button>
            ))}
          </Row>
        </>
      ) : null}
      <Seen>
        {seen.map((each) => (
          <SeenLine key={each.id} look={each} isOpen={isOpen} onAgain={() => setAgain(each.id)} />
        ))}
      </Seen>
      {measure.never.map((text) => (
        <Quiet key={text}>{text}</Quiet>
      ))}
    </>
  );
}

function SeenLine({ look, isOpen, onAgain }: { look: Look; isOpen: boolean; onAgain: () => void }) {
  const kind = SIGNS[look.rule ?? "reuse"] ?? "quiet";
  return (
    <li>
      <button type="button" disabled={!isOpen} onClick={onAgain}>
        <Sign kind={kind} size={20} />
        <span>{look.label}</span>
        <strong>{look.values[look.value ?? ""]}</strong>
      </button>
    </li>
  );
}
