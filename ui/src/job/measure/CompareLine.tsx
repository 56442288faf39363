import { useState } from "react";
import type { ReactNode } from "react";
import styled from "styled-components";
import { Choice } from "../../kit/Choice";
import type { Option } from "../../kit/Choice";
import { EntryField } from "../../kit/EntryField";
import { Quiet, Row } from "../../kit/layout";

interface Props {
  label: string;
  /** By what new and old are told apart. */
  compare: string;
  note: string | undefined;
  mark?: ReactNode;
  options: Option[];
  /** Answers that stand only with words, and what is asked then. */
  worded: Record<string, string>;
  value: string | undefined;
  isOpen: boolean;
  onAnswer: (value: string, note?: string) => void;
  children?: ReactNode;
}

const Line = styled.li`
  display: grid;
  gap: 0.6rem;
  padding: 1rem 0;
  border-top: 1px solid ${(p) => p.theme.line};
`;

/** One part, new beside old. */
export function CompareLine(props: Props) {
  const { label, options, worded, value, onAnswer } = props;
  const [asks, setAsks] = useState<string>();
  const question = asks === undefined ? undefined : worded[asks];
  const choose = (answer: string) => {
    const isWorded = answer in worded;
    if (!isWorded) onAnswer(answer);
    setAsks(isWorded ? answer : undefined);
  };
  return (
    <Line>
      <div>
        <Row $gap={1}>
          <h3>{label}</h3>
          {props.mark}
        </Row>
        <Quiet>{props.compare}</Quiet>
        {props.note ? <p>{props.note}</p> : null}
      </div>
      {props.isOpen ? (
        <Choice
          label={`${label}: new against old`}
          isLabelHidden
          options={options}
          value={asks ?? value}
          onChange={choose}
        />
      ) : (
        <p>{options.find((each) => each.id === value)?.label ?? "not compared"}</p>
      )}
      {asks !== undefined && question !== undefined ? (
        <EntryField
          label={question}
          value=""
          onFinish={(note) => {
            if (note.trim()) onAnswer(asks, note);
            setAsks(undefined);
          }}
        />
      ) : null}
      {props.children}
    </Line>
  );
}
