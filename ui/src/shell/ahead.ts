import type { LoaderFunction, LoaderFunctionArgs } from "react-router";
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

type Params = LoaderFunctionArgs["params"];

/**
 * What a room asks first, asked while its code is still on the way, and after the page has begun to draw; what fails is
 * asked again by the room.
 */
const asked =
  (ask: (params: Params) => unknown): LoaderFunction =>
  ({ params }) => {
    setTimeout(ask, 0, params);
    return null;
  };

const tables = () => {
  void queryClient.prefetchQuery(knowledgeQuery);
  void queryClient.prefetchQuery(shopQuery);
};

const isShown = (stage: string): stage is Shown => stage in stageRooms;

export const ahead = {
  bench: asked(() => {
    void queryClient.prefetchInfiniteQuery(jobsQuery("open"));
    void queryClient.prefetchQuery(dueQuery);
  }),
  job: asked(({ id = "", stage = "" }) => {
    void queryClient.prefetchQuery(jobQuery(id));
    tables();
    if (!isShown(stage)) return;
    void stageRooms[stage]?.();
    void queryClient.prefetchQuery(stageQuery(id, stage));
    if (stage === "choose") void queryClient.prefetchQuery(suppliesQuery(id));
  }),
  machine: asked(({ id = "" }) => {
    void queryClient.prefetchQuery(machineQuery(id));
    tables();
  }),
  tables: asked(tables),
};
