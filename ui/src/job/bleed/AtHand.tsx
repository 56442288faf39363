import type { Bleed, Job } from "../../server/api";
import { Choice } from "../../kit/Choice";
import { EntryField } from "../../kit/EntryField";
import { size } from "../../kit/format";
import { Row } from "../../kit/layout";
import { useEntries } from "../useEntries";

const HANDS = [
  { id: "1", label: "One" },
  { id: "2", label: "Two" },
];

/** Who is there and how warm it is: both go on the record. */
export function AtHand({ job, bleed }: { job: Job; bleed: Bleed }) {
  const { add } = useEntries(job, "bleed");
  return (
    <Row $gap={3} style={{ alignItems: "end" }}>
      <Choice
        label="People available"
        options={HANDS}
        value={String(bleed.people)}
        onChange={(people) => add("people", { people: Number(people) })}
      />
      <EntryField
        key={bleed.celsius}
        label="Fluid and shop at"
        name="celsius"
        unit="°C"
        inputMode="decimal"
        value={size(bleed.celsius)}
        onFinish={(celsius) => add("temperature", { celsius: celsius.replace("−", "-") })}
      />
    </Row>
  );
}
