import type { Bleed, Job } from "../../server/api";
import { Choice } from "../../kit/Choice";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  bleed: Bleed;
}

/** What the jar shows of the point at hand, set against the others. */
export function SampleChoice({ job, bleed }: Props) {
  const { add } = useEntries(job, "bleed");
  return (
    <div style={{ display: "grid", gap: "0.4rem" }}>
      <Choice
        label="In the jar"
        options={bleed.sample_kinds ?? []}
        value={bleed.samples?.[bleed.current]}
        onChange={(sample) => add("sample", { point: bleed.current, sample })}
      />
      {bleed.samples_say?.map((said) => (
        <p key={said}>
          <strong>{said}</strong>
        </p>
      ))}
    </div>
  );
}
