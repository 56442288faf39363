import { useState } from "react";
import styled from "styled-components";
import type { Job, Measure } from "../../server/api";
import { Choice } from "../../kit/Choice";
import { EntryField } from "../../kit/EntryField";
import { Panel, Quiet } from "../../kit/layout";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  measure: Measure;
  isOpen: boolean;
}

const Line = styled.li`
  display: grid;
  gap: 0.6rem;
  padding: 1rem 0;
  border-top: 1px solid ${(p) => p.theme.line};
`;

const VALUES = [
  { id: "same", label: "The same" },
  { id: "differs", label: "Differs" },
  { id: "resolved", label: "Differed, resolved" },
];

/** New against old, before any fluid is opened. */
export function ComparePanel({ job, measure, isOpen }: Props) {
  return (
    <Panel>
      <h2>New against old</h2>
      <Quiet>Side by side on the bench, before any fluid is opened. A difference is resolved first.</Quiet>
      <ul>
        {measure.comparison.map((row) => (
          <CompareLine key={row.id} job={job} row={row} isOpen={isOpen} />
        ))}
      </ul>
    </Panel>
  );
}

function CompareLine({
  job,
  row,
  isOpen,
}: {
  job: Job;
  row: Measure["comparison"][number];
  isOpen: boolean;
}) {
  const { add } = useEntries(job, "measure");
  const [asks, setAsks] = useState<string>();
  const values = row.without ? [...VALUES, { id: "none", label: row.without }] : VALUES;
  const choose = (value: string) => {
    const isPlain = value === "same" || value === "none";
    if (isPlain) add("compared", { row: row.id, value });
    setAsks(isPlain ? undefined : value);
  };
  return (
    <Line>
      <div>
        <h3>{row.label}</h3>
        <Quiet>{row.compare}</Quiet>
        {row.note ? <p>{row.note}</p> : null}
      </div>
      {isOpen ? (
        <Choice
          label={`${row.label}: new against old`}
          isLabelHidden
          options={values}
          value={asks ?? row.value}
          onChange={choose}
        />
      ) : (
        <p>{values.find((each) => each.id === row.value)?.label ?? "not compared"}</p>
      )}
      {asks ? (
        <EntryField
          label={asks === "differs" ? "What differs" : "How it was resolved"}
          value=""
          onFinish={(note) => {
            if (note.trim()) add("compared", { row: row.id, value: asks, note });
            setAsks(undefined);
          }}
        />
      ) : null}
    </Line>
  );
}
