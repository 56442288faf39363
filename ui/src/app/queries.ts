import { queryOptions } from "@tanstack/react-query";
import { call } from "./api";
import type { JobLine, Job, Knowledge, Machine, MachineLine, Sheet, Sizing } from "./api";

interface Page<Item> {
  items: Item[];
  next?: string;
}

export const jobsQuery = (state: "open" | "closed") =>
  queryOptions({
    queryKey: ["jobs", state],
    queryFn: () => call<Page<JobLine>>("GET", `/jobs?state=${state}`),
  });

export const jobQuery = (id: string) =>
  queryOptions({ queryKey: ["job", id], queryFn: () => call<Job>("GET", `/jobs/${id}`) });

export const machinesQuery = queryOptions({
  queryKey: ["machines"],
  queryFn: () => call<Page<MachineLine>>("GET", "/machines"),
});

export const machineQuery = (id: string) =>
  queryOptions({ queryKey: ["machine", id], queryFn: () => call<Machine>("GET", `/machines/${id}`) });

export const knowledgeQuery = queryOptions({
  queryKey: ["knowledge"],
  queryFn: () => call<Knowledge>("GET", "/knowledge"),
  staleTime: Infinity,
});

export const sizingQuery = (sheet: Sheet, candidates: SizeTyped[]) =>
  queryOptions({
    queryKey: ["sizing", sheet, candidates],
    queryFn: () =>
      call<Sizing>("POST", "/compute/sizings", candidates.length > 0 ? { sheet, candidates } : { sheet }),
    placeholderData: (previous: Sizing | undefined) => previous,
    retry: false,
  });

export interface SizeTyped {
  bore: string | number;
  push_offset: string | number;
}
