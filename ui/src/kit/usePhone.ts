import { useSyncExternalStore } from "react";
import { PHONE } from "./tokens";

/** The page lies down as on a phone. */
export function usePhone(): boolean {
  return useSyncExternalStore(watch, () => matchMedia(PHONE).matches);
}

function watch(onChange: () => void): () => void {
  const phone = matchMedia(PHONE);
  phone.addEventListener("change", onChange);
  return () => phone.removeEventListener("change", onChange);
}
