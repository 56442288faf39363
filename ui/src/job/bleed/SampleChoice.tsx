import type { Bleed, Job } from "../../server/api";
import { Choice } from "../../kit/Choice";
import { unhurried } from "../../kit/unhurried";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  bleed: Bleed;
}

/** What the jar shows of the point at hand, set against the others. */
export const SampleChoice = unhurried(function SampleChoice({ job, bleed }: Props) {
  const { add } = useEntries(job, "bleed");
  const kinds = bleed.sample_kinds ?? [];
  const seen = bleed.samples?.[bleed.current];
  const said = bleed.samples_say ?? [];
  return (
    <details open={said.length > 0 || undefined}>
      <summary>{`Sample in the jar: ${kinds.find((kind) => kind.id === seen)?.label ?? "not looked at"}`}</summary>
      <Choice
        label="In the jar"
        isLabelHidden
        options={kinds}
        value={seen}
        onChange={(sample) => add("sample", { point: bleed.current, sample })}
      />
      {said.map((each) => (
        <p key={each}>
          <strong>{each}</strong>
        </p>
      ))}
    </details>
  );
});
