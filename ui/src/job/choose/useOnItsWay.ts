import type { Choose, Job, Supplies } from "../../server/api";
import { useOutboxState } from "../../server/useOutbox";

/** Lines of the pull list with a tick that the list at hand does not show yet. */
export function useOnItsWay(job: Job, choose: Choose, supplies: Supplies): ReadonlySet<unknown> {
  const waiting = useOutboxState().waiting.filter(
    (parcel) => parcel.jobId === job.id && parcel.entry.kind === "pulled",
  );
  const shown = new Set(supplies.lines.flatMap((line) => line.pulled.map((pulled) => pulled.entry)));
  const unseen = choose.pulled.filter((pulled) => !shown.has(pulled.entry));
  return new Set([
    ...waiting.map((parcel) => parcel.entry.data["line"]),
    ...unseen.map((pulled) => pulled.line),
  ]);
}
