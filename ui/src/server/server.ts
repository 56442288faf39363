import { QueryClient, notifyManager } from "@tanstack/react-query";
import type { Changed } from "./api";
import { keepAnswer } from "./answersKept";
import { answer, client } from "./client";
import { Refused } from "./faults";
import { Outbox } from "./outbox";
import { browserKeeper, OutboxStore } from "./outboxStore";
import type { Parcel } from "./outboxStore";
import { jobQuery, stageQuery } from "./queries";

// an entry leaves the outbox and the count that holds it comes in before the next key: no figure steps back in between
notifyManager.setScheduler(queueMicrotask);

/** What the server said last. Asked again when the page is looked at again; a refusal is final. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      networkMode: "always",
      staleTime: 2000,
      retry: (count, fault) => !(fault instanceof Refused) && count < 2,
    },
    mutations: { networkMode: "always" },
  },
});

const send = ({ jobId, entry }: Parcel) =>
  answer(
    client.POST("/jobs/{id}/entries", {
      params: { path: { id: jobId } },
      body: { ...entry, sent: new Date().toISOString() },
    }),
  );

/** What an entry changed takes its place at once; what else may have changed is asked when it is looked at. */
function take({ jobId }: Parcel, { job, stage }: Changed): void {
  if (job) {
    queryClient.setQueryData(jobQuery(jobId).queryKey, job);
    keepAnswer(`/jobs/${jobId}`, job);
  } else void queryClient.invalidateQueries({ queryKey: ["job", jobId] });
  if (stage) {
    queryClient.setQueryData(stageQuery(jobId, stage.id).queryKey, stage);
    keepAnswer(`/jobs/${jobId}/stages/${stage.id}`, stage);
  }
  void queryClient.invalidateQueries({
    predicate: ({ queryKey: [what, id, shown] }) => what === "stage" && id === jobId && shown !== stage?.id,
  });
  for (const what of ["jobs", "supplies", "shelf"]) void queryClient.invalidateQueries({ queryKey: [what] });
}

export const outbox = new Outbox(new OutboxStore(browserKeeper()), send, take);

window.addEventListener("online", () => void outbox.flush());
window.addEventListener("storage", outbox.refresh);

/** Asks everything on show again, what is still being asked included. */
export async function askAgain(): Promise<void> {
  const asking = queryClient.getQueryCache().findAll({ fetchStatus: "fetching" });
  await Promise.allSettled(asking.map((query) => query.promise));
  await queryClient.invalidateQueries();
}

void outbox.flush();
