import type { QueryClient, QueryFilters } from "@tanstack/react-query";
import type { Changed } from "./api";
import { jobQuery, stageQuery } from "./queries";

const LISTS = ["jobs", "supplies", "shelf"];

/**
 * What an entry changed takes its place at once; what else may have changed is asked when it is looked at. An answer that
 * was still on its way tells of the time before the entry, and is let go.
 */
export function takeChange(client: QueryClient, jobId: string, { job, stage }: Changed): void {
  const put = <Answer>(queryKey: readonly unknown[], answer: Answer) => {
    void client.cancelQueries({ queryKey });
    client.setQueryData(queryKey, answer);
  };
  const askAnew = (filters: QueryFilters) => {
    void client.cancelQueries(filters);
    void client.invalidateQueries(filters);
  };

  if (job) put(jobQuery(jobId).queryKey, job);
  else askAnew({ queryKey: jobQuery(jobId).queryKey });
  if (stage) put(stageQuery(jobId, stage.id).queryKey, stage);
  askAnew({
    predicate: ({ queryKey: [what, id, shown] }) => what === "stage" && id === jobId && shown !== stage?.id,
  });
  for (const what of LISTS) askAnew({ queryKey: [what] });
}
