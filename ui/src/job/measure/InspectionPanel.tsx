import { useState } from "react";
import styled from "styled-components";
import type { Job, Measure } from "../../server/api";
import { Button } from "../../kit/Button";
import { Panel, Quiet, Row } from "../../kit/layout";
import { Sign } from "../../kit/Mark";
import type { MarkKind } from "../../kit/Mark";
import { Notice } from "../../kit/Notice";
import { useHotkeys } from "../../kit/useHotkeys";
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

/** One look at a time, once parts are clean and dry. */
export function InspectionPanel({ job, measure, isOpen }: Props) {
  const { add } = useEntries(job, "measure");
  const [again, setAgain] = useState<string>();
  const look = measure.inspection.find((each) => each.id === (again ?? measure.next));
  const options = Object.entries(look?.values ?? {});
  const answer = (value: string) => {
    if (look) add("finding", { check: look.id, value });
    setAgain(undefined);
  };
  const keys = Object.fromEntries(options.map(([value], index) => [String(index + 1), () => answer(value)]));
  useHotkeys(isOpen ? keys : {});
  const seen = measure.inspection.filter((each) => each.value !== undefined);
  return (
    <Panel>
      <Row>
        <h2>What is seen</h2>
        <Quiet>{`${seen.length} of ${measure.inspection.length}`}</Quiet>
      </Row>
      {look && isOpen ? (
        <>
          <Question>{look.label}</Question>
          <Quiet>{look.how}</Quiet>
          {look.does && look.id !== again ? <Notice tone="warn">{look.does}</Notice> : null}
          <Row $gap={1}>
            {options.map(([value, label], index) => (
              <Button key={value} hotkey={String(index + 1)} onPress={() => answer(value)}>
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
    </Panel>
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
