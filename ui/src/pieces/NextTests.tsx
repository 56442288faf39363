import styled from "styled-components";
import type { Ask, Knowledge } from "../server/api";
import { Button } from "../kit/Button";
import { figure } from "../kit/format";
import { Panel, Quiet } from "../kit/layout";
import { Mark } from "../kit/Mark";

interface Props {
  tests: Ask["next_tests"];
  findings: Knowledge["findings"];
  /** What a test came out as is said by whoever does it. */
  onFind?: (finding: string, value: string) => void;
  /** Or it is done on a simulated lever, which says itself. */
  onTry?: (finding: string) => void;
}

const Test = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.5rem;
  padding: 0.8rem 0;
  border-top: 1px solid ${(p) => p.theme.line};
`;

const Answers = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(10.5rem, 1fr));
  gap: 0.4rem;
`;

const Answer = styled.button`
  min-height: 3.6rem;
  padding: 0.3rem 0.8rem;
  border: 2px solid ${(p) => p.theme.line};
  border-radius: 0.5rem;
  background: ${(p) => p.theme.panel};
  text-align: left;
  line-height: 1.2;
  cursor: pointer;
  &:hover:enabled {
    border-color: ${(p) => p.theme.act};
  }
  &:disabled {
    min-height: 2.6rem;
    border-style: dotted;
    cursor: default;
    color: inherit;
  }
  small {
    display: block;
    color: ${(p) => p.theme.quiet};
    font-size: 0.88rem;
  }
`;

/** The tests that would tell most for the minutes they cost, how to do them, and what each answer would mean. */
export function NextTests({ tests, ...rest }: Props) {
  const [best, ...others] = tests;
  return (
    <Panel>
      <h2>Next best test</h2>
      {best ? <OneTest test={best} isBest {...rest} /> : null}
      {others.length > 0 ? (
        <details>
          <summary>{`Or one of ${others.length} others`}</summary>
          {others.map((test) => (
            <OneTest key={test.finding} test={test} {...rest} />
          ))}
        </details>
      ) : null}
    </Panel>
  );
}

interface OneProps extends Omit<Props, "tests"> {
  test: Ask["next_tests"][number];
  isBest?: boolean;
}

function OneTest({ test, isBest = false, findings, onFind, onTry }: OneProps) {
  const finding = findings.find((each) => each.id === test.finding);
  if (!finding) return null;
  return (
    <Test>
      <Quiet>{test.walk}</Quiet>
      <h3>
        {finding.label} <Minutes minutes={test.minutes} />
      </h3>
      <Quiet>{finding.how}</Quiet>
      {test.opens ? (
        <div>
          <Mark kind="warn">Opens the circuit: a bleed follows</Mark>
        </div>
      ) : null}
      {onTry ? (
        <div>
          <Button
            tone={isBest ? "act" : "plain"}
            aria-label={`Try: ${finding.label}`}
            onPress={() => onTry(test.finding)}
          >
            Try it on the lever
          </Button>
        </div>
      ) : null}
      <Answers>
        {test.answers.map((answer) => (
          <Answer key={answer.value} disabled={!onFind} onClick={() => onFind?.(test.finding, answer.value)}>
            {finding.values[answer.value]}
            <small>{changeSaid(answer)}</small>
          </Answer>
        ))}
      </Answers>
    </Test>
  );
}

type Answered = Ask["next_tests"][number]["answers"][number];

/** What an answer would change: the cause it moves most, and how far. */
function changeSaid({ cause, from, to }: Answered): string {
  const percent = (share: number) => `${figure(share * 100, 0)}\u00a0%`;
  if (percent(from) === percent(to)) return "changes little";
  return `${cause}: ${percent(from)} → ${percent(to)}`;
}

const Small = styled.small`
  font-weight: 400;
  color: ${(p) => p.theme.quiet};
`;

function Minutes({ minutes }: { minutes: number }) {
  return <Small>{minutes} min</Small>;
}
