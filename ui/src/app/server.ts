import { QueryClient } from "@tanstack/react-query";
import { Refused } from "./api";
import { Outbox } from "./outbox";
import { jobQuery } from "./queries";

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
});

void outbox.flush();
