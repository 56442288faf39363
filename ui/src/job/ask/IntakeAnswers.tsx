import { useState } from "react";
import styled from "styled-components";
import type { Ask } from "../../server/api";
import { Button } from "../../kit/Button";
import { Row } from "../../kit/layout";
import { Notice } from "../../kit/Notice";

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

/** What was answered at the intake; an answer is given again by a tap on its question. */
export function IntakeAnswers({ isOpen, intake, against, onAnswer }: Props) {
  const [again, setAgain] = useState<string>();
  const question = intake.find((row) => row.id === again);
  const answer = (value: string) => {
    if (question) onAnswer(question.id, value);
    setAgain(undefined);
  };
  return (
    <>
      {against.map((said) => (
        <Notice key={said} tone="warn">
          {said}
        </Notice>
      ))}
      {question && isOpen ? (
        <>
          <Question>{question.ask}</Question>
          <Row $gap={1}>
            {Object.entries(question.values).map(([value, label]) => (
              <Button
                key={value}
                tone={value === question.value ? "act" : "plain"}
                onPress={() => answer(value)}
              >
                {label}
              </Button>
            ))}
          </Row>
        </>
      ) : null}
      <Answered>
        {intake
          .filter((row) => row.confirmed)
          .map((row) => (
            <li key={row.id}>
              <button onClick={() => setAgain(row.id)}>
                {row.ask} <b>{row.values[row.value ?? ""]}</b>
              </button>
            </li>
          ))}
      </Answered>
    </>
  );
}
