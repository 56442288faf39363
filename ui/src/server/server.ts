import { QueryClient, notifyManager } from "@tanstack/react-query";
import type { Changed } from "./api";
import { keepAnswer } from "./answersKept";
import { answer, client } from "./client";
import { Refused } from "./faults";
import { Outbox } from "./outbox";
import { browserKeeper, OutboxStore } from "./outboxStore";
import type { Parcel } from "./outboxStore";
import { takeChange } from "./takeChange";
import { worker } from "./worker";

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

function take({ jobId }: Parcel, changed: Changed): void {
  takeChange(queryClient, jobId, changed);
  const { job, stage } = changed;
  if (job) keepAnswer(`/jobs/${jobId}`, job);
  if (stage) keepAnswer(`/jobs/${jobId}/stages/${stage.id}`, stage);
}

export const outbox = new Outbox(new OutboxStore(browserKeeper()), send, take, worker);

window.addEventListener("online", () => void outbox.flush());
window.addEventListener("storage", outbox.refresh);

void outbox.flush();
