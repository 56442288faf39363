import type { Choose, Job } from "../../server/api";
import { useUnits } from "../../server/useUnits";
import { EntryField } from "../../kit/EntryField";
import { FoldingPanel } from "../../kit/FoldingPanel";
import { Quiet } from "../../kit/layout";
import { Mark } from "../../kit/Mark";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  choose: Choose;
  isOpen: boolean;
}

/** Hoses that go on new: how long each has to be, measured before it is ordered. */
export function HosesPanel({ job, choose, isOpen }: Props) {
  const { add } = useEntries(job, "choose");
  const units = useUnits();
  const hoses = choose.hoses ?? [];
  const open = hoses.filter((hose) => !hose.known).length;
  if (hoses.length === 0) return null;
  return (
    <FoldingPanel
      title={hoses.length > 1 ? "New hoses" : "New hose"}
      said={open > 0 ? <Mark kind="warn">{`${open} to measure`}</Mark> : undefined}
      isFolded={open === 0}
    >
      <p>
        Lay a cord along the way it will run, face to face of its ends, at full lock and full travel, with
        slack. Order no shorter.
      </p>
      {hoses.map((hose) =>
        isOpen ? (
          <EntryField
            key={`${hose.id} ${hose.known ? hose.length_mm : ""}`}
            label={`${hose.label}: length to order`}
            inputMode="decimal"
            unit={units.unit("length")}
            value={hose.known ? units.size("length", hose.length_mm) : ""}
            onFinish={(text) =>
              text.trim() && add("hose", { line: hose.id, length: units.typed("length", text) })
            }
          />
        ) : (
          <p key={hose.id}>{`${hose.label}: ${units.say("length", hose.length_mm, 0)}`}</p>
        ),
      )}
      {open > 0 ? <Quiet>The record has no length of the old one.</Quiet> : null}
    </FoldingPanel>
  );
}
