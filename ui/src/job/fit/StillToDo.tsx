import styled from "styled-components";
import type { Fit } from "../../server/api";
import { Big, Panel, Quiet, Row } from "../../kit/layout";
import { Sign } from "../../kit/Mark";

const Item = styled.li<{ $done: boolean }>`
  display: grid;
  grid-template-columns: 1.6rem minmax(0, 1fr) auto;
  gap: 0.6rem;
  align-items: center;
  min-height: 2.6rem;
  border-top: 1px solid ${(p) => p.theme.line};
  svg {
    color: ${(p) => (p.$done ? p.theme.good : p.theme.warn)};
  }
  b {
    font-variant-numeric: tabular-nums;
  }
`;

/** What is left, by what it is about; readable from two metres. */
export function StillToDo({ fit }: { fit: Fit }) {
  const items = fit.still_to_do;
  const left = items.reduce((sum, item) => sum + item.left, 0);
  const later = fit.bleeds && fit.phase === "before";
  return (
    <Panel>
      <Row $gap={3}>
        <h2>{later ? "Before the bleed" : "Still to do"}</h2>
        <Big $size="2.2rem" data-figure="left">
          {left}
          <small> to do</small>
        </Big>
      </Row>
      <ul>
        {items.map((item) => (
          <Item key={item.label} $done={item.left === 0}>
            <Sign kind={item.left === 0 ? "good" : "warn"} size={20} />
            <span>{item.label}</span>
            <b>{item.left === 0 ? "done" : item.left}</b>
          </Item>
        ))}
      </ul>
      {later ? <Quiet>The lid, the last figures and the paint marks come after the bleed.</Quiet> : null}
    </Panel>
  );
}
