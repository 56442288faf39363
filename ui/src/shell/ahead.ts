import type { FetchQueryOptions, QueryKey } from "@tanstack/react-query";
import { stageRooms } from "../job/stageRooms";
import {
  dueQuery,
  jobQuery,
  jobsQuery,
  knowledgeQuery,
  machineQuery,
  shopQuery,
  stageQuery,
  suppliesQuery,
} from "../server/queries";
import { queryClient } from "../server/server";
import type { Shown } from "../job/StageProps";

type Params = Record<string, string | undefined>;

/** Asks what the room at an address asks first. It may be called at every drawing: nothing is asked twice. */
export type Ask = (params: Params) => void;

const isAsked = (query: { queryKey: QueryKey }) => queryClient.getQueryState(query.queryKey) !== undefined;

const once = <Data>(query: FetchQueryOptions<Data, Error, Data, string[]>) => {
  if (!isAsked(query)) void queryClient.prefetchQuery(query);
};

const tables = () => {
  once(knowledgeQuery);
  once(shopQuery);
};

const isShown = (stage: string): stage is Shown => stage in stageRooms;

export const ahead = {
  bench: () => {
    const open = jobsQuery("open");
    if (!isAsked(open)) void queryClient.prefetchInfiniteQuery(open);
    once(dueQuery);
  },
  job: ({ id = "", stage = "" }) => {
    once(jobQuery(id));
    tables();
    if (!isShown(stage)) return;
    void stageRooms[stage]?.();
    once(stageQuery(id, stage));
    if (stage === "choose") once(suppliesQuery(id));
  },
  machine: ({ id = "" }) => {
    once(machineQuery(id));
    tables();
  },
  tables,
} satisfies Record<string, Ask>;
