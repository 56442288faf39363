import { useInfiniteQuery } from "@tanstack/react-query";
import { useDeferredValue, useState } from "react";
import type { ReactNode } from "react";
import styled from "styled-components";
import { SearchField } from "../kit/SearchField";
import { MoreButton } from "../kit/MoreButton";
import { Quiet } from "../kit/layout";
import { Notice } from "../kit/Notice";
import type { MachineLine } from "../server/api";
import { pagesOf } from "../server/pagesOf";
import { machinesQuery } from "../server/queries";

interface Props {
  label: string;
  /** How many are shown before one asks for more. */
  limit: number;
  /** What is shown where there is no machine at all. */
  empty: ReactNode;
  children: (machine: MachineLine) => ReactNode;
}

const List = styled.ul`
  display: grid;
  gap: 0.8rem;
`;

/** Machines found by typing any of their words: name, note, or what a circuit is called. */
export function MachineSearch({ label, limit, empty, children }: Props) {
  const [typed, setTyped] = useState("");
  const find = useDeferredValue(typed.trim());
  const query = useInfiniteQuery(machinesQuery({ find, limit }));
  const { items, more } = pagesOf(query);
  if (query.isError) return <Notice tone="stop">{query.error.message}</Notice>;
  if (query.data && items.length === 0 && find === "") return empty;
  return (
    <>
      <SearchField label={label} value={typed} onChange={setTyped} />
      {query.data && items.length === 0 ? <Quiet>No machines match.</Quiet> : null}
      <List>
        {items.map((machine) => (
          <li key={machine.id}>{children(machine)}</li>
        ))}
      </List>
      <MoreButton onMore={more}>Show more</MoreButton>
    </>
  );
}
