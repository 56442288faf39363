import { createContext, useContext, useSyncExternalStore } from "react";
import type { Outbox, OutboxState } from "./outbox";

export const OutboxContext = createContext<Outbox | null>(null);

export function useOutbox(): Outbox {
  const outbox = useContext(OutboxContext);
  if (!outbox) throw new Error("useOutbox stands outside OutboxContext");
  return outbox;
}

export function useOutboxState(): OutboxState {
  const outbox = useOutbox();
  return useSyncExternalStore(outbox.subscribe, outbox.snapshot);
}
