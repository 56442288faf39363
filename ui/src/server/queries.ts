import { infiniteQueryOptions, keepPreviousData, queryOptions } from "@tanstack/react-query";
import type {
  Bleed,
  BleedSupposed,
  Candidate,
  MachineKind,
  PlanRequest,
  Sheet,
  Sizing,
  SizingRequest,
  Stage,
} from "./api";
import { answer, client } from "./client";

/** A page of a list, and where the next one starts. */
interface Page {
  next?: string;
}

const followed = { initialPageParam: "", getNextPageParam: (page: Page) => page.next };

const after = (place: string) => (place ? { after: place } : {});

export const jobsQuery = (state: "open" | "referred" | "closed") =>
  infiniteQueryOptions({
    queryKey: ["jobs", state],
    queryFn: ({ pageParam }) =>
      answer(client.GET("/jobs", { params: { query: { state, ...after(pageParam) } } })),
    ...followed,
  });

export const jobsOfMachineQuery = (machine: string) =>
  infiniteQueryOptions({
    queryKey: ["jobs", "machine", machine],
    queryFn: ({ pageParam }) =>
      answer(
        client.GET("/jobs", { params: { query: { state: "all", limit: 20, machine, ...after(pageParam) } } }),
      ),
    ...followed,
  });

export const jobQuery = (id: string) =>
  queryOptions({
    queryKey: ["job", id],
    queryFn: () => answer(client.GET("/jobs/{id}", { params: { path: { id } } })),
  });

/** What one stage of a job shows; asked when the stage is looked at. */
export const stageQuery = (id: string, stage: Stage) =>
  queryOptions({
    queryKey: ["stage", id, stage],
    queryFn: () => answer(client.GET("/jobs/{id}/stages/{stage}", { params: { path: { id, stage } } })),
  });

/** What the shelf has for a job; asked again whenever the job or the shelf has moved. */
export const suppliesQuery = (id: string) =>
  queryOptions({
    queryKey: ["supplies", id],
    queryFn: () => answer(client.GET("/jobs/{id}/supplies", { params: { path: { id } } })),
  });

export const shelfQuery = queryOptions({
  queryKey: ["shelf"],
  queryFn: () => answer(client.GET("/shelf")),
});

export const movesQuery = (id: string) =>
  infiniteQueryOptions({
    queryKey: ["shelf", id],
    queryFn: ({ pageParam }) =>
      answer(
        client.GET("/shelf/{id}/moves", {
          params: { path: { id }, query: { limit: 20, ...after(pageParam) } },
        }),
      ),
    ...followed,
  });

/** What signed jobs found a circuit's lever to be. */
export const leversOfCircuitQuery = (id: string) =>
  queryOptions({
    queryKey: ["levers", id],
    queryFn: () => answer(client.GET("/circuits/{id}/levers", { params: { path: { id } } })),
  });

/** What is overdue, and what falls due in the next 30 days. */
export const dueQuery = queryOptions({
  queryKey: ["due"],
  queryFn: () => answer(client.GET("/due", { params: { query: { limit: 100 } } })),
});

export const lessonsQuery = queryOptions({
  queryKey: ["lessons"],
  queryFn: () => answer(client.GET("/practice/lessons")),
});

/** What came of a practice run; asked when it is over. */
export const practiceResultQuery = (id: string) =>
  queryOptions({
    queryKey: ["practice", id],
    queryFn: () => answer(client.GET("/practice/runs/{id}/result", { params: { path: { id } } })),
  });

/** What one person has done in Practice, and how far that is. */
export const learnerQuery = (name: string) =>
  queryOptions({
    queryKey: ["practice", "learner", name],
    queryFn: () => answer(client.GET("/practice/results", { params: { query: { name } } })),
  });

/** The day, planned for the jobs that are open. */
export const planQuery = (asked: PlanRequest) =>
  queryOptions({
    queryKey: ["jobs", "plan", asked],
    queryFn: () => answer(client.POST("/plans", { body: asked })),
  });

/** Every lever on file, the worst first. */
export const leversQuery = infiniteQueryOptions({
  queryKey: ["levers"],
  queryFn: ({ pageParam }) =>
    answer(client.GET("/levers", { params: { query: { limit: 30, ...after(pageParam) } } })),
  ...followed,
});

export interface MachinesSought {
  find?: string;
  kind?: MachineKind | undefined;
  retired?: boolean;
  limit?: number;
}

export const machinesQuery = ({ find = "", kind, retired = false, limit = 50 }: MachinesSought = {}) =>
  infiniteQueryOptions({
    queryKey: ["machines", { find, kind, retired, limit }],
    queryFn: ({ pageParam }) =>
      answer(
        client.GET("/machines", {
          params: {
            query: {
              limit,
              retired,
              ...(find ? { find } : {}),
              ...(kind ? { kind } : {}),
              ...after(pageParam),
            },
          },
        }),
      ),
    placeholderData: keepPreviousData,
    ...followed,
  });

export const machineQuery = (id: string) =>
  queryOptions({
    queryKey: ["machine", id],
    queryFn: () => answer(client.GET("/machines/{id}", { params: { path: { id } } })),
  });

export const knowledgeQuery = queryOptions({
  queryKey: ["knowledge"],
  queryFn: () => answer(client.GET("/knowledge")),
  staleTime: Infinity,
});

export const importsQuery = queryOptions({
  queryKey: ["imports"],
  queryFn: () => answer(client.GET("/archive/imports")),
});

export const shopQuery = queryOptions({
  queryKey: ["shop"],
  queryFn: () => answer(client.GET("/shop")),
  staleTime: 60_000,
});

/** What the tables say to typed words; a circuit's own record first. */
export const lookupQuery = (find: string, circuit: string | null) =>
  queryOptions({
    queryKey: ["lookup", find, circuit],
    queryFn: () =>
      answer(client.GET("/lookup", { params: { query: { find, ...(circuit ? { circuit } : {}) } } })),
    placeholderData: keepPreviousData,
  });

/** Depends on the shop's rate and prices, and on what was signed: read again whenever it is shown. */
export const toolWorthQuery = queryOptions({
  queryKey: ["shop", "tool-worth"],
  queryFn: () => answer(client.GET("/shop/tool-worth")),
  staleTime: 0,
});

export const circuitQuery = (id: string) =>
  queryOptions({
    queryKey: ["circuit", id],
    queryFn: () => answer(client.GET("/circuits/{id}", { params: { path: { id } } })),
    enabled: id !== "",
  });

export const comparisonQuery = (id: string) =>
  queryOptions({
    queryKey: ["comparison", id],
    queryFn: () => answer(client.GET("/comparisons/{id}", { params: { path: { id } } })),
    enabled: id !== "",
  });

/** A computing endpoint: the same question has the same answer, and the last one stays on show while the next is worked out. */
const computed = <Answer>(what: string, body: unknown, ask: () => Promise<Answer>) =>
  queryOptions({
    queryKey: [what, body],
    queryFn: ask,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });

/** Both circuits of one pedal, with the bar at a share of the push to the front, or where the record has it. */
export const balanceQuery = (id: string, frontPercent: number | undefined) =>
  queryOptions({
    queryKey: ["circuit", id, "balance", frontPercent ?? "recorded"],
    queryFn: () =>
      answer(
        client.GET("/circuits/{id}/balance", {
          params: { path: { id }, query: frontPercent === undefined ? {} : { front_percent: frontPercent } },
        }),
      ),
    placeholderData: keepPreviousData,
  });

export const sizingQuery = (body: SizingRequest) =>
  computed("sizings", body, () => answer(client.POST("/compute/sizings", { body })) as Promise<Sizing>);

export const curvesQuery = (sheet: Sheet, candidates: Candidate[]) => {
  const body = { sheet, candidates };
  return computed("lever-curves", body, () => answer(client.POST("/compute/lever-curves", { body })));
};

export const explanationQuery = (sheet: Sheet, candidate: Candidate) => {
  const body = { sheet, candidate };
  return computed("explanations", body, () => answer(client.POST("/compute/explanations", { body })));
};

/** The heights along every way of a circuit as it is entered now. */
export const profilesQuery = (sheet: Sheet) =>
  computed("profiles", { sheet }, () =>
    answer(client.POST("/compute/bleed-verdicts", { body: { sheet, ...plainLine } })),
  );

const plainLine = {
  celsius: 20,
  loop_down: false,
  feed_up: false,
  turned: false,
  hose_raised: false,
  raised: 0,
  tilted: 0,
};

/** Nothing changed on the line. */
export const asItStands: BleedSupposed = {};

/** Asked again when a page is come back to, or when hands, warmth or the bleeding method change. */
export const bleedVerdictsQuery = (id: string, bleed: Bleed, supposed: BleedSupposed) =>
  queryOptions({
    queryKey: [
      "bleed-verdicts",
      id,
      supposed,
      bleed.people,
      bleed.celsius,
      bleed.method.id,
      bleed.plan.total_ml,
    ],
    queryFn: () =>
      answer(client.POST("/jobs/{id}/bleed-verdicts", { params: { path: { id } }, body: supposed })),
    placeholderData: keepPreviousData,
    retry: false,
  });
