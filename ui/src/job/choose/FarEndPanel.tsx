import { useState } from "react";
import type { Choose, Job } from "../../server/api";
import { EntryField } from "../../kit/EntryField";
import { size } from "../../kit/format";
import { Panel, Quiet, Row } from "../../kit/layout";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  choose: Choose;
  isOpen: boolean;
}

/** The calipers or slave that the job works on, and their size where others go on. */
export function FarEndPanel({ job, choose, isOpen }: Props) {
  const { add } = useEntries(job, "choose");
  const ends = choose.far_ends;
  if (!ends) return null;
  return (
    <Panel>
      <h2>{choose.clutch ? "Slave" : "Caliper"}</h2>
      {ends.map((end) => (
        <Row key={end.id}>
          {choose.size_first && isOpen ? (
            <SizeField
              key={end.size.join(" ")}
              label={choose.clutch ? `Bore of ${end.label}` : `Pistons of ${end.label}`}
              said={end.size.map(size).join(" ")}
              onFinish={(typed) => add("size", { part: end.id, size: typed })}
            />
          ) : (
            <span>
              {end.label}: <b>{end.size.map(size).join(" · ")} mm</b>
            </span>
          )}
        </Row>
      ))}
      {choose.size_first ? (
        <Quiet>
          Compare sizes in the Sizer under “What if” and take one from there, or write it here, in mm.
        </Quiet>
      ) : null}
    </Panel>
  );
}

interface SizeFieldProps {
  label: string;
  said: string;
  onFinish: (typed: string) => void;
}

function SizeField({ label, said, onFinish }: SizeFieldProps) {
  const [typed, setTyped] = useState(said);
  const finish = (value: string) => {
    setTyped(value);
    if (value.trim() && value.trim() !== said) onFinish(value.trim());
  };
  return <EntryField label={label} value={typed} onFinish={finish} />;
}
