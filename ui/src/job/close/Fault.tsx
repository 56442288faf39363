import { Notice } from "../../kit/Notice";
import { capital } from "../../words/capital";

/** Why the machine may not go, by what a part of Close found. */
export function Fault({ of }: { of: string | undefined }) {
  return of ? <Notice tone="stop">{`${capital(of)}.`}</Notice> : null;
}
