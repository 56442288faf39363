import styled from "styled-components";
import type { Fit } from "../../server/api";
import { WasherStack } from "../../drawings/WasherStack";
import { EntryField } from "../../kit/EntryField";
import { Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { Notice } from "../../kit/Notice";
import { useState } from "react";
import { useEntries } from "../useEntries";
import type { FitProps } from "./fitProps";
import { FitRoom } from "./FitRoom";

type Stack = Fit["washers"][number];

const Joint = styled.li`
  display: grid;
  grid-template-columns: 9rem minmax(0, 1fr);
  gap: 1rem;
  padding: 0.8rem 0;
  border-top: 1px solid ${(p) => p.theme.line};
  > div {
    display: grid;
    gap: 0.5rem;
    align-content: start;
  }
`;

/** Old seals counted out, new ones counted in, each joint drawn as its stack. */
export function WasherPanel({ job, fit, isOpen }: FitProps) {
  if (fit.washers.length === 0) return null;
  return (
    <FitRoom fit={fit} id="washers" title="Washers and seals">
      <ul>
        {fit.washers.map((stack) => (
          <Joint key={stack.joint}>
            <WasherStack hoses={stack.hoses} wanted={stack.wanted} kind={stack.kind} label={stack.label} />
            <div>
              <Row>
                <strong>{stack.label}</strong>
                {stack.done ? <Mark kind="good">counted</Mark> : null}
              </Row>
              <Quiet>{`${stack.wanted} new ${stack.kind}, one on each face`}</Quiet>
              {isOpen ? (
                <Count key={`${stack.old}/${stack.new}`} job={job} stack={stack} />
              ) : (
                <Counted stack={stack} />
              )}
              {stack.new !== undefined && !stack.done ? (
                <Notice tone="stop">{`${stack.new} went in, ${stack.wanted} belong there.`}</Notice>
              ) : null}
              {stack.warning ? <Notice tone="warn">{stack.warning}</Notice> : null}
            </div>
          </Joint>
        ))}
      </ul>
    </FitRoom>
  );
}

function Counted({ stack }: { stack: Stack }) {
  return <p>{stack.new === undefined ? "not counted" : `${stack.old ?? 0} old out, ${stack.new} new in`}</p>;
}

/** Both counts make one entry; it is made when the second is finished. */
function Count({ job, stack }: { job: FitProps["job"]; stack: Stack }) {
  const { add } = useEntries(job, "fit");
  const [old, setOld] = useState(stack.old === undefined ? "" : String(stack.old));
  const [fresh, setFresh] = useState(stack.new === undefined ? "" : String(stack.new));
  const finish = (oldOut: string, newIn: string) => {
    setOld(oldOut);
    setFresh(newIn);
    if (oldOut.trim() && newIn.trim()) add("washers", { joint: stack.joint, old: oldOut, new: newIn });
  };
  return (
    <Row>
      <EntryField
        label={`Old out: ${stack.label}`}
        inputMode="decimal"
        value={old}
        onFinish={(text) => finish(text, fresh)}
      />
      <EntryField
        label={`New in: ${stack.label}`}
        inputMode="decimal"
        value={fresh}
        onFinish={(text) => finish(old, text)}
      />
    </Row>
  );
}
