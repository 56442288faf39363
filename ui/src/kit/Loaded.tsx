import type { UseQueryResult } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Page, Quiet } from "./layout";
import { Notice } from "./Notice";
import { useArrived } from "./useArrived";

interface Props<Data> {
  query: UseQueryResult<Data>;
  /** Stands inside a page, which has its frame already. */
  isPart?: boolean;
  children: (data: Data) => ReactNode;
}

/** A query's data; or, until there is any, what is happening. Old data stays on show while a newer answer fails. */
export function Loaded<Data>({ query, isPart = false, children }: Props<Data>) {
  const isThere = useArrived(query.data);
  if (isThere && query.data !== undefined) return <>{children(query.data)}</>;
  const said = query.isError ? <Notice tone="stop">{query.error.message}</Notice> : <Quiet>Fetching…</Quiet>;
  return isPart ? said : <Page>{said}</Page>;
}
