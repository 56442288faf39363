import { useNavigate } from "react-router";
import type { Feel, Job } from "../../server/api";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { size } from "../../kit/format";
import { Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { Room } from "../../kit/Rooms";
import { stageNames } from "../../words/stages";
import { Answers, AskedList } from "../Answers";
import { useEntries } from "../useEntries";

type Test = NonNullable<Feel["tests"]>[number];

interface Props {
  job: Job;
  feel: Feel;
  isOpen: boolean;
}

/** What is tried besides the readings, in order; a bad one has the way to where it is put right. */
export function TestList({ job, feel, isOpen }: Props) {
  const { add } = useEntries(job, "feel");
  const tests = feel.tests ?? [];
  if (tests.length === 0) return null;
  const good = tests.filter((test) => test.good).length;
  return (
    <Room id="tests" title="Tests" left={tests.length - good}>
      <AskedList aria-label="Tests">
        {tests.map((test) => (
          <li key={test.id}>
            <strong>{test.label}</strong>
            <Row $gap={1}>
              <Answers
                asked={test}
                isOpen={isOpen && !test.locked}
                onAnswer={(value) => add("test", { test: test.id, value })}
              />
              {isOpen && !test.locked && test.measures && !test.good ? (
                <EntryField
                  key={test.amount ?? "none"}
                  label={test.measures.label}
                  name={test.id}
                  unit={test.measures.unit}
                  inputMode="decimal"
                  value={test.amount === undefined ? "" : size(test.amount)}
                  onFinish={(amount) => add("test", { test: test.id, amount })}
                />
              ) : null}
              {test.amount !== undefined && test.good ? (
                <span>{`${size(test.amount)} ${test.measures?.unit ?? ""}`}</span>
              ) : null}
              {test.locked ? <Mark kind="quiet">after the others</Mark> : null}
            </Row>
            <Quiet>{`${test.how} ${test.limit}`}</Quiet>
            {isOpen && test.road ? <Road job={job} road={test.road} /> : null}
          </li>
        ))}
      </AskedList>
    </Room>
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
    <div data-wide>
      <Button tone="stop" onPress={go}>{`To ${stageNames[stage]}`}</Button>
    </div>
  );
}
