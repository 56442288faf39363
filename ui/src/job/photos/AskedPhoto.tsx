import type { Job, Stage } from "../../server/api";
import { earlier } from "./pairs";
import { PhotoButton } from "./PhotoButton";

/** The photo that a step asks for, its caption filled in; paired with the one of an earlier stage that shows the same. */
export function AskedPhoto({ job, stage, what }: { job: Job; stage: Stage; what: string | undefined }) {
  return what ? (
    <div>
      <PhotoButton
        job={job}
        stage={stage}
        label={`Photo: ${what}`}
        what={what}
        again={earlier(job.photos, what, stage)}
      />
    </div>
  ) : null;
}
