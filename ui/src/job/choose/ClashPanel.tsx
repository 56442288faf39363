import type { Choose, Job } from "../../server/api";
import { EntryField } from "../../kit/EntryField";
import { Panel } from "../../kit/layout";
import { Notice } from "../../kit/Notice";
import { useEntries } from "../useEntries";

interface Props {
  job: Job;
  clash: NonNullable<Choose["clash"]>;
  isOpen: boolean;
}

/** What clashed at the dry trial comes back here: said what goes on instead, it is tried dry again. */
export function ClashPanel({ job, clash, isOpen }: Props) {
  const { add } = useEntries(job, "choose");
  return (
    <Panel>
      <h2>From the dry trial</h2>
      <Notice tone="stop" live>
        <strong>{`${clash.label} clashed.`}</strong> {clash.wants}
      </Notice>
      {isOpen ? (
        <EntryField
          name="clash"
          label="What goes on instead"
          value=""
          onFinish={(how) => add("clash_solved", { clash: clash.id, how })}
        />
      ) : null}
    </Panel>
  );
}
