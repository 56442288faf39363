import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Refused } from "../server/faults";
import type { Candidate, Sheet, Sizing, SizingRequest } from "../server/api";
import { shopQuery, sizingQuery } from "../server/queries";

const MOST_PICKED = 3;

/** The state of a sizing: the draft circuit, what is compared, and what is looked at. */
export function useSizing(start: SizingRequest) {
  const shop = useQuery(shopQuery).data;
  const [sheet, setSheet] = useState<Sheet>(start.sheet);
  const [own, setOwn] = useState<Candidate[]>(start.candidates ?? []);
  const [cylinders, setCylinders] = useState<NonNullable<SizingRequest["cylinders"]>>(
    start.cylinders ?? "usual",
  );
  const [chosen, setChosen] = useState<string[]>();
  const request: SizingRequest = {
    sheet,
    cylinders,
    candidates: own,
    ...(shop ? { school: shop.school as NonNullable<SizingRequest["school"]>, band: shop.band } : {}),
  };
  const query = useQuery(sizingQuery(request));
  // the last answer stays on show while a refused value is put right
  const [data, setData] = useState<Sizing>();
  if (query.data && query.data !== data) setData(query.data);
  const refused = query.error instanceof Refused ? query.error.problem.errors[0] : undefined;
  // the fitted cylinder is looked at until another is picked
  const picked = chosen ?? data?.rows.slice(0, 1).map((row) => row.key) ?? [];
  const pick = (key: string) =>
    setChosen(
      picked.includes(key) ? picked.filter((each) => each !== key) : [...picked, key].slice(-MOST_PICKED),
    );
  return {
    request,
    data,
    error: query.error,
    refused,
    own,
    picked,
    pick,
    setSheet,
    setCylinders,
    add: (candidate: Candidate) => setOwn((now) => [...now, candidate]),
    forget: (key: string) => setOwn((now) => now.filter((each) => each.key !== key)),
  };
}

export type SizingState = ReturnType<typeof useSizing>;
