import type { CircuitFigures } from "../server/api";
import { Button } from "../kit/Button";
import { size } from "../kit/format";
import { Row } from "../kit/layout";
import { Notice } from "../kit/Notice";

interface Props {
  question: CircuitFigures["questions"][number];
  onSettle: (bore: number) => void;
}

/** A measured bore that may be either of a metric and an inch twin: asked, not assumed. */
export function WhichSize({ question, onSettle }: Props) {
  return (
    <Notice tone="warn">
      <p>{question.question}</p>
      <Row $gap={1}>
        {question.options.map((option) => (
          <Button key={option} onPress={() => onSettle(option)}>{`It says ${size(option)}`}</Button>
        ))}
      </Row>
    </Notice>
  );
}
