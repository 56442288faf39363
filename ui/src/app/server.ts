import { QueryClient, notifyManager } from "@tanstack/react-query";
import { Refused } from "./api";
import { Outbox } from "./outbox";
import { jobQuery } from "./queries";

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

export const outbox = new Outbox((job) => {
  queryClient.setQueryData(jobQuery(job.id).queryKey, job);
  void queryClient.invalidateQueries({ queryKey: ["jobs"] });
  void queryClient.invalidateQueries({ queryKey: ["supplies"] });
  void queryClient.invalidateQueries({ queryKey: ["shelf"] });
});

/** Asks everything on show again, what is still being asked included. */
export async function askAgain(): Promise<void> {
  const asking = queryClient.getQueryCache().findAll({ fetchStatus: "fetching" });
  await Promise.allSettled(asking.map((query) => query.promise));
  await queryClient.invalidateQueries();
}

void outbox.flush();
