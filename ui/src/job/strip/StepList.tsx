import styled from "styled-components";
import type { Strip } from "../../server/api";
import { Sign } from "../../kit/Mark";
import type { MarkKind } from "../../kit/Mark";

const List = styled.ol`
  columns: 2;
  column-gap: 2rem;
  @media (max-width: 60rem) {
    columns: 1;
  }
  li {
    display: grid;
    grid-template-columns: 1.5rem minmax(0, 1fr);
    gap: 0.6rem;
    padding: 0.25rem 0;
    break-inside: avoid;
  }
  li[data-status="current"] {
    font-weight: 700;
  }
  li[data-status="skipped"] {
    text-decoration: line-through;
  }
  svg {
    margin-top: 0.25rem;
  }
`;

const SIGNS: Record<string, MarkKind> = { done: "good", current: "warn", ahead: "quiet", skipped: "quiet" };

/** The whole order, for whoever wants to see what is coming. */
export function StepList({ strip }: { strip: Strip }) {
  return (
    <List>
      {strip.steps.map((step) => (
        <li key={step.id} data-status={step.status}>
          <Sign kind={SIGNS[step.status] ?? "quiet"} />
          <span>{step.reason ? `${step.label}: ${step.reason}` : step.label}</span>
        </li>
      ))}
    </List>
  );
}
