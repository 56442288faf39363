import type { JobLine } from "../server/api";
import { whenSaid } from "../kit/format";

/** A wait in words: until when, or that it is over. */
export function waitSaid(wait: NonNullable<JobLine["wait"]>, now: number): string {
  return Date.parse(wait.until) > now ? `${wait.label} until ${whenSaid(wait.until)}` : `${wait.label}: over`;
}
