import type { JobLine } from "../server/api";
import { whenSaid } from "../kit/format";

/** A referral in words: when, by whom, and where the machine went. */
export function referralSaid({ at, name, to }: NonNullable<JobLine["referred"]>): string {
  return `${whenSaid(at)}, by ${name}${to ? `, to ${to}` : ""}`;
}
