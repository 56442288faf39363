import type { Job, Measure } from "../../server/api";
import { Panel, Quiet } from "../../kit/layout";
import { useEntries } from "../useEntries";
import { CompareLine } from "./CompareLine";

interface Props {
  job: Job;
  measure: Measure;
  isOpen: boolean;
}

const VALUES = [
  { id: "same", label: "The same" },
  { id: "differs", label: "Differs" },
  { id: "resolved", label: "Differed, resolved" },
];
const WORDED = { differs: "What differs", resolved: "How it was resolved" };

/** New against old, before any fluid is opened. */
export function ComparePanel({ job, measure, isOpen }: Props) {
  const { add } = useEntries(job, "measure");
  return (
    <Panel>
      <h2>New against old</h2>
      <Quiet>Side by side on the bench, before any fluid is opened. A difference is resolved first.</Quiet>
      <ul>
        {measure.comparison.map((row) => (
          <CompareLine
            key={row.id}
            label={row.label}
            compare={row.compare}
            note={row.note}
            options={row.without ? [...VALUES, { id: "none", label: row.without }] : VALUES}
            worded={WORDED}
            value={row.value}
            isOpen={isOpen}
            onAnswer={(value, note) => add("compared", { row: row.id, value, ...(note ? { note } : {}) })}
          />
        ))}
      </ul>
    </Panel>
  );
}
