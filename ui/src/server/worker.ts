/** Who works at this screen: kept in this browser, and sent with every entry. */
const PLACE = "sandbag.worker";

export function worker(): string | undefined {
  return localStorage.getItem(PLACE) ?? undefined;
}

export function setWorker(name: string | undefined): void {
  if (name) localStorage.setItem(PLACE, name);
  else localStorage.removeItem(PLACE);
}
