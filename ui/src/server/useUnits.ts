import { useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { Units } from "../kit/units";
import { shopQuery } from "./queries";

export function useUnits(): Units {
  const display = useQuery(shopQuery).data?.display;
  return useMemo(() => new Units(display ?? {}), [display]);
}
