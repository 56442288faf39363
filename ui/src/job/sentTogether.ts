/** Entries that one answer sent: one key takes all of them back. Kept for as long as the page is open. */
const groups = new Map<string, readonly string[]>();

/** @param sent ids of the entries; none for one that could not be kept */
export function rememberTogether(sent: readonly (string | undefined)[]): void {
  const ids = sent.filter((id) => id !== undefined);
  if (ids.length > 1) ids.forEach((id) => groups.set(id, ids));
}

/** Those that were sent with an entry and still stand, the newest first; the entry alone where it was sent alone. */
export function sentWith(id: string, standing: readonly string[]): string[] {
  const group = groups.get(id) ?? [id];
  return standing.filter((each) => group.includes(each)).reverse();
}
