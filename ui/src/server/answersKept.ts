import { ANSWERS, PHOTOS } from "../worker/agreed";

/**
 * Lays an answer that came with an entry beside those the service worker kept, so that a reload without a server shows the
 * job as it was last seen. Keeping is a courtesy: where this browser keeps nothing, the page goes on.
 */
export function keepAnswer(path: string, answer: unknown): void {
  if (!("caches" in globalThis)) return;
  const response = new Response(JSON.stringify(answer), {
    headers: { "content-type": "application/json", date: new Date().toUTCString() },
  });
  void caches
    .open(ANSWERS)
    .then((kept) => kept.put(`/api${path}`, response))
    .catch(() => undefined);
}

/** Answers and photos that this browser keeps are removed. What waits to be sent stays. */
export async function forgetAnswers(): Promise<void> {
  if (!("caches" in globalThis)) return;
  await Promise.all([ANSWERS, PHOTOS].map((name) => caches.delete(name)));
}

/** @returns how many answers and photos this browser keeps */
export async function answersKept(): Promise<number> {
  if (!("caches" in globalThis)) return 0;
  const kept = await Promise.all(
    [ANSWERS, PHOTOS].map(async (name) => ((await caches.has(name)) ? (await caches.open(name)).keys() : [])),
  );
  return kept.flat().length;
}
