import type { Job, Supplies } from "../../app/api";
import { useOutboxState } from "../../app/useOutbox";

/** Lines of the pull list with a tick that the list at hand does not show yet. */
export function useOnItsWay(job: Job, supplies: Supplies): ReadonlySet<unknown> {
  const waiting = useOutboxState().waiting.filter(
    (parcel) => parcel.jobId === job.id && parcel.entry.kind === "pulled",
  );
  const shown = new Set(supplies.lines.flatMap((line) => line.pulled.map((pulled) => pulled.entry)));
  const unseen = (job.choose?.pulled ?? []).filter((pulled) => !shown.has(pulled.entry));
  return new Set([
    ...waiting.map((parcel) => parcel.entry.data["line"]),
    ...unseen.map((pulled) => pulled.line),
  ]);
}
