import styled from "styled-components";
import { Button } from "../kit/Button";
import { Row } from "../kit/layout";
import { Mark } from "../kit/Mark";

interface Asked {
  label: string;
  answers: Record<string, string>;
  answer?: string;
  good: boolean;
}

interface Props {
  asked: Asked;
  isOpen: boolean;
  onAnswer: (answer: string) => void;
}

/** What is asked one under the other, each with its answers beside it. */
export const AskedList = styled.ul`
  display: grid;
  li {
    display: grid;
    grid-template-columns: minmax(10rem, 1fr) auto;
    gap: 0.3rem 1rem;
    align-items: center;
    padding: 0.45rem 0;
    border-top: 1px solid ${(p) => p.theme.line};
  }
  li > p,
  li > [data-wide] {
    grid-column: 1 / -1;
  }
  @media (max-width: 60rem) {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

/** The answer that was given, and, until it is a good one, all there are. */
export function Answers({ asked, isOpen, onAnswer }: Props) {
  return (
    <Row $gap={1}>
      {asked.answer ? (
        <Mark kind={asked.good ? "good" : "stop"}>{asked.answers[asked.answer] ?? asked.answer}</Mark>
      ) : null}
      {isOpen && !asked.good
        ? Object.entries(asked.answers).map(([id, said]) => (
            <Button key={id} aria-label={`${asked.label}: ${said}`} onPress={() => onAnswer(id)}>
              {said}
            </Button>
          ))
        : null}
    </Row>
  );
}
