import type { Build, Job } from "../../server/api";
import { Choice } from "../../kit/Choice";
import { SignedList } from "../../kit/SignedList";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  build: Build;
  isOpen: boolean;
}

/** What cups and bore are wetted with: two schools, within what fluid and rubber bear. */
export function Lubricant({ job, build, isOpen }: Props) {
  const { add } = useEntries(job, "build");
  const allowed = build.lubricants.filter((each) => each.allowed);
  const barred = build.lubricants.filter((each) => !each.allowed);
  return (
    <>
      {isOpen ? (
        <Choice
          label="On cups, bore and piston"
          hint="The circuit's own fluid always does. A thin film of grease only where the kit's maker allows it."
          options={allowed.map(({ id, label, says }) => ({
            id,
            label: says === "suited" ? label : `${label}: ${says}`,
          }))}
          value={build.lubricant}
          onChange={(lubricant) => add("lubricant", { lubricant })}
        />
      ) : (
        <p>{build.lubricants.find((each) => each.id === build.lubricant)?.label}</p>
      )}
      <details>
        <summary>Not on these seals</summary>
        <SignedList lines={barred.map((each) => ({ kind: "stop", text: `${each.label}: ${each.says}` }))} />
      </details>
    </>
  );
}
