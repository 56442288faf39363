import type { UseQueryResult } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Page, Quiet } from "./layout";
import { Notice } from "./Notice";

interface Props<Data> {
  query: UseQueryResult<Data>;
  children: (data: Data) => ReactNode;
}

/** A query's data; or, until there is any, what is happening. Old data stays on show while a newer answer fails. */
export function Loaded<Data>({ query, children }: Props<Data>) {
  if (query.data !== undefined) return <>{children(query.data)}</>;
  return (
    <Page>
      {query.isError ? <Notice tone="stop">{query.error.message}</Notice> : <Quiet>Fetching…</Quiet>}
    </Page>
  );
}
