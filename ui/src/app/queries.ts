import { keepPreviousData, queryOptions } from "@tanstack/react-query";
import { call } from "./api";
import type {
  Candidate,
  Circuit,
  Comparison,
  Explanation,
  Job,
  JobLine,
  Knowledge,
  LeverCurves,
  Machine,
  MachineLine,
  Move,
  Sheet,
  ShelfItem,
  Shop,
  Sizing,
  SizingRequest,
  Supplies,
} from "./api";

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

/** What the shelf has for a job; asked anew whenever the job or the shelf has moved. */
export const suppliesQuery = (jobId: string) =>
  queryOptions({
    queryKey: ["supplies", jobId],
    queryFn: () => call<Supplies>("GET", `/jobs/${jobId}/supplies`),
  });

export const shelfQuery = queryOptions({
  queryKey: ["shelf"],
  queryFn: () => call<{ items: ShelfItem[] }>("GET", "/shelf"),
});

export const movesQuery = (item: string) =>
  queryOptions({
    queryKey: ["shelf", item],
    queryFn: () => call<{ items: Move[] }>("GET", `/shelf/${item}/moves`),
  });

export const machinesQuery = queryOptions({
  queryKey: ["machines"],
  queryFn: () => call<Page<MachineLine>>("GET", "/machines?limit=100"),
});

export const retiredMachinesQuery = queryOptions({
  queryKey: ["machines", "retired"],
  queryFn: () => call<Page<MachineLine>>("GET", "/machines?limit=100&retired=true"),
});

export const machineQuery = (id: string) =>
  queryOptions({ queryKey: ["machine", id], queryFn: () => call<Machine>("GET", `/machines/${id}`) });

export const knowledgeQuery = queryOptions({
  queryKey: ["knowledge"],
  queryFn: () => call<Knowledge>("GET", "/knowledge"),
  staleTime: Infinity,
});

export const shopQuery = queryOptions({
  queryKey: ["shop"],
  queryFn: () => call<Shop>("GET", "/shop"),
  staleTime: 60_000,
});

export const circuitQuery = (id: string) =>
  queryOptions({
    queryKey: ["circuit", id],
    queryFn: () => call<Circuit>("GET", `/circuits/${id}`),
    enabled: id !== "",
  });

export const comparisonQuery = (id: string) =>
  queryOptions({
    queryKey: ["comparison", id],
    queryFn: () => call<Comparison>("GET", `/comparisons/${id}`),
    enabled: id !== "",
  });

/** A computing endpoint: the same question has the same answer, and the last one stays on show while the next is worked out. */
const computed = <Answer>(what: string, body: unknown) =>
  queryOptions({
    queryKey: [what, body],
    queryFn: () => call<Answer>("POST", `/compute/${what}`, body),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });

export const sizingQuery = (request: SizingRequest) => computed<Sizing>("sizings", request);

export const curvesQuery = (sheet: Sheet, candidates: Candidate[]) =>
  computed<LeverCurves>("lever-curves", { sheet, candidates });

export const explanationQuery = (sheet: Sheet, candidate: Candidate) =>
  computed<Explanation>("explanations", { sheet, candidate });
