import { useNavigate } from "react-router";
import styled from "styled-components";
import type { Feel, Job } from "../../server/api";
import { Button } from "../../kit/Button";
import { FoldingPanel } from "../../kit/FoldingPanel";
import { Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { stageNames } from "../../words/stages";
import { useEntries } from "../useEntries";

type Test = NonNullable<Feel["tests"]>[number];

interface Props {
  job: Job;
  feel: Feel;
  isOpen: boolean;
}

const List = styled.ul`
  display: grid;
  li {
    display: grid;
    grid-template-columns: minmax(10rem, 1fr) auto;
    gap: 0.2rem 1rem;
    align-items: center;
    padding: 0.45rem 0;
    border-top: 1px solid ${(p) => p.theme.line};
  }
  li > p,
  li > [data-road] {
    grid-column: 1 / -1;
  }
  @media (max-width: 60rem) {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

/** What is tried besides the readings, in order; a bad one has the way to where it is put right. */
export function TestList({ job, feel, isOpen }: Props) {
  const tests = feel.tests ?? [];
  if (tests.length === 0) return null;
  const good = tests.filter((test) => test.good).length;
  const isBad = tests.some((test) => test.road);
  return (
    <FoldingPanel
      title="Tests"
      said={<Quiet as="span">{`${good} of ${tests.length} good`}</Quiet>}
      isFolded={good === 0 && !isBad}
    >
      <List aria-label="Tests">
        {tests.map((test) => (
          <li key={test.id}>
            <strong>{test.label}</strong>
            <Row $gap={1}>
              {test.answer ? (
                <Mark kind={test.good ? "good" : "stop"}>{test.answers[test.answer] ?? test.answer}</Mark>
              ) : null}
              {isOpen && !test.good && !test.locked ? <Answers job={job} test={test} /> : null}
              {test.locked ? <Mark kind="quiet">after the others</Mark> : null}
            </Row>
            <Quiet>{`${test.how} ${test.limit}`}</Quiet>
            {isOpen && test.road ? <Road job={job} road={test.road} /> : null}
          </li>
        ))}
      </List>
    </FoldingPanel>
  );
}

function Answers({ job, test }: { job: Job; test: Test }) {
  const { add } = useEntries(job, "feel");
  return (
    <>
      {Object.entries(test.answers).map(([id, said]) => (
        <Button
          key={id}
          aria-label={`${test.label}: ${said}`}
          onPress={() => add("test", { test: test.id, value: id })}
        >
          {said}
        </Button>
      ))}
    </>
  );
}

/** To the stage where it is put right, with the finding already in. */
function Road({ job, road }: { job: Job; road: NonNullable<Test["road"]> }) {
  const { add } = useEntries(job, "ask");
  const navigate = useNavigate();
  // a job without that stage goes back to Ask, where another repair is chosen
  const stage = job.stages.some((each) => each.id === road.stage) ? road.stage : "ask";
  const go = () => {
    if (road.finding && road.value) add("finding", { finding: road.finding, value: road.value });
    void navigate(`/jobs/${job.id}/${stage}`);
  };
  return (
    <div data-road>
      <Button tone="stop" onPress={go}>{`To ${stageNames[stage]}`}</Button>
    </div>
  );
}
