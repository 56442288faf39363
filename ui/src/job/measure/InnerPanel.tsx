import { useState } from "react";
import type { InnerLine, Job, Measure } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { Button } from "../../kit/Button";
import { EntryField } from "../../kit/EntryField";
import { Quiet, Row } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { useEntries } from "../useEntries";
import { CompareLine } from "./CompareLine";

interface Props {
  job: Job;
  measure: Measure;
  isOpen: boolean;
}

const WORDED = {
  differs: "What differs",
  resolved: "How it was resolved",
  maker: "Who decided it, and what was measured",
};

/** What the kit brings beside what came out, before anything is built. */
export function InnerPanel({ job, measure, isOpen }: Props) {
  const { add } = useEntries(job, "measure");
  const lines = measure.inner ?? [];
  const open = lines.filter((line) => line.value === undefined && line.kept === undefined);
  return (
    <>
      <Quiet>Lay the new part beside the old one. A part that differs goes back to the counter.</Quiet>
      {isOpen && open.length > 1 ? (
        <div>
          <Button onPress={() => open.forEach((line) => add("inner", { row: line.id, value: "same" }))}>
            {`The same: ${open.map((line) => line.label.toLowerCase()).join("; ")}`}
          </Button>
        </div>
      ) : null}
      <ul>
        {lines.map((line) => (
          <InnerRow key={line.id} job={job} line={line} isOpen={isOpen} />
        ))}
      </ul>
    </>
  );
}

function InnerRow({ job, line, isOpen }: { job: Job; line: InnerLine; isOpen: boolean }) {
  const { add } = useEntries(job, "measure");
  const options = [
    { id: "same", label: "The same" },
    ...(line.kept ? [{ id: "kept", label: line.kept }] : []),
    { id: "differs", label: "Differs" },
    { id: "resolved", label: "Differed, resolved" },
    ...(line.maker ? [{ id: "maker", label: "Another maker\u2019s, and it matches" }] : []),
  ];
  return (
    <CompareLine
      label={line.label}
      compare={`${line.compare}.`}
      note={line.note}
      mark={line.value === "differs" ? <Mark kind="stop">not the right part</Mark> : null}
      options={options}
      worded={WORDED}
      value={line.value}
      isOpen={isOpen}
      onAnswer={(value, note) => add("inner", { row: line.id, value, ...(note ? { note } : {}) })}
    >
      {line.figures.length > 0 ? (
        <details open={line.figures.some((figure) => figure.old_mm !== undefined)}>
          <summary>Measured, old and new</summary>
          {line.figures.map((figure) => (
            <Figure key={figure.id} job={job} line={line} figure={figure} isOpen={isOpen} />
          ))}
        </details>
      ) : null}
    </CompareLine>
  );
}

interface FigureProps {
  job: Job;
  line: InnerLine;
  figure: InnerLine["figures"][number];
  isOpen: boolean;
}

/** One length on the old part and on the new one; sent once both are there. */
function Figure({ job, line, figure, isOpen }: FigureProps) {
  const { add } = useEntries(job, "measure");
  const units = useUnits();
  const [typed, setTyped] = useState<{ old?: string; new?: string }>({});
  const known = { old: figure.old_mm, new: figure.new_mm };
  if (!isOpen && known.old === undefined) return null;
  const finish = (which: "old" | "new", text: string) => {
    const now = { ...typed, [which]: text };
    setTyped(now);
    const [before, after] = (["old", "new"] as const).map(
      (each) => (now[each] ? units.typed("length", now[each]) : known[each]) ?? "",
    );
    if (before !== "" && after !== "")
      add("inner_figure", { row: line.id, figure: figure.id, old: before, new: after });
  };
  return (
    <Row $gap={1}>
      {(["old", "new"] as const).map((which) => (
        <EntryField
          key={`${which} ${known[which] ?? ""}`}
          label={`${figure.label}, ${which}`}
          inputMode="decimal"
          unit={units.unit("length")}
          value={typed[which] ?? (known[which] === undefined ? "" : units.size("length", known[which]))}
          onFinish={(text) => finish(which, text)}
        />
      ))}
      {figure.apart ? <Mark kind="stop">too far apart: another variant</Mark> : null}
    </Row>
  );
}
