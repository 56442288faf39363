import { useState } from "react";
import styled from "styled-components";
import type { Ask } from "../../server/api";
import { Button } from "../../kit/Button";
import { Panel, Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { Notice } from "../../kit/Notice";
import { useHotkeys } from "../../kit/useHotkeys";
import type { Hotkeys } from "../../kit/useHotkeys";

interface Props {
  isOpen: boolean;
  intake: Ask["intake"];
  /** What record and mechanic do not agree on. */
  against: string[];
  onAnswer: (question: string, value: string) => void;
}

const Question = styled.p`
  font-size: 1.35rem;
  line-height: 1.2;
  font-weight: 700;
`;

const Answered = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 1.2rem;
  button {
    min-height: 3rem;
    border: 0;
    padding: 0;
    background: none;
    cursor: pointer;
    text-decoration: underline dotted;
    text-underline-offset: 0.25em;
  }
`;

/** One question at a time, by touch or digit key; what the record knows is only confirmed. */
export function IntakePanel({ isOpen, intake: questions, against, onAnswer }: Props) {
  const [again, setAgain] = useState<string>();
  const [showsAnswers, setShowsAnswers] = useState(false);
  const open = questions.filter((row) => !row.confirmed);
  const first = open.filter((row) => row.stops && row.value === undefined).length;
  const question = questions.find((row) => row.id === again) ?? open[0];
  const options = Object.entries(question?.values ?? {});
  const answer = (value: string) => {
    if (!question) return;
    onAnswer(question.id, value);
    setAgain(undefined);
  };
  const keys: Hotkeys = Object.fromEntries(
    options.map(([value], index) => [String(index + 1), () => answer(value)]),
  );
  useHotkeys(isOpen ? keys : {});
  return (
    <Panel>
      <Row>
        <h2>Intake</h2>
        <Quiet>{open.length === 0 ? "complete" : `${open.length} to go`}</Quiet>
        {first > 0 ? <Mark kind="warn">{`${first} before anything is opened`}</Mark> : null}
      </Row>
      {against.map((said) => (
        <Notice key={said} tone="warn">
          {said}
        </Notice>
      ))}
      {question && isOpen ? (
        <>
          <Question>{question.ask}</Question>
          {question.value !== undefined && !question.confirmed ? (
            <div>
              <Mark kind="quiet">{`The record says: ${question.values[question.value] ?? question.value}`}</Mark>
            </div>
          ) : null}
          <Row $gap={1}>
            {options.map(([value, label], index) => (
              <Button
                key={value}
                hotkey={String(index + 1)}
                tone={value === question.value ? "act" : "plain"}
                onPress={() => answer(value)}
              >
                {label}
              </Button>
            ))}
          </Row>
        </>
      ) : null}
      {questions.length > open.length ? (
        <>
          <div>
            <Button onPress={() => setShowsAnswers(!showsAnswers)}>
              {showsAnswers
                ? "Hide the answers"
                : questions.length - open.length === 1
                  ? "Show the answer"
                  : `Show ${questions.length - open.length} answers`}
            </Button>
          </div>
          {showsAnswers ? (
            <Answered>
              {questions
                .filter((row) => row.confirmed)
                .map((row) => (
                  <li key={row.id}>
                    <button onClick={() => setAgain(row.id)}>
                      {row.ask} <b>{row.values[row.value ?? ""]}</b>
                    </button>
                  </li>
                ))}
            </Answered>
          ) : null}
        </>
      ) : null}
    </Panel>
  );
}
