import { ANSWERS } from "../worker/agreed";

/**
 * Lays an answer that came with an entry beside those the service worker kept, so that a reload without a server shows the
 * job as it was last seen. Keeping is a courtesy: where this browser keeps nothing, the page goes on.
 */
export function keepAnswer(path: string, answer: unknown): void {
  if (!("caches" in globalThis)) return;
  const response = new Response(JSON.stringify(answer), { headers: { "content-type": "application/json" } });
  void caches
    .open(ANSWERS)
    .then((kept) => kept.put(`/api${path}`, response))
    .catch(() => undefined);
}
