import type { Bleed, Job } from "../../server/api";
import { Button } from "../../kit/Button";
import { Row } from "../../kit/layout";
import { unhurried } from "../../kit/unhurried";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  bleed: Bleed;
}

/** What can go wrong by this method: one tap says that it did, and the bubbles are counted again. */
export const SlipList = unhurried(function SlipList({ job, bleed }: Props) {
  const { add } = useEntries(job, "bleed");
  const slips = bleed.method.slips ?? [];
  if (slips.length === 0) return null;
  return (
    <details>
      <summary>Something went wrong</summary>
      <Row>
        {slips.map((slip) => (
          <Button key={slip.id} onPress={() => add("slip", { slip: slip.id })}>
            {slip.label}
          </Button>
        ))}
      </Row>
    </details>
  );
});
