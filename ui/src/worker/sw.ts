/// <reference lib="webworker" />
import { CacheableResponsePlugin } from "workbox-cacheable-response";
import { ExpirationPlugin } from "workbox-expiration";
import { registerRoute } from "workbox-routing";
import { CacheFirst, NetworkFirst } from "workbox-strategies";
import type { WorkboxPlugin } from "workbox-core/types";
import { ANSWERS, KEEP_ROOMS, KEPT_S, PHOTOS, TIME } from "./agreed";

// Keeps the page and the last answers at hand, so that a reload while the server is away still shows the job.
// The network always comes first: nothing old is shown while the server answers.
declare const self: ServiceWorkerGlobalScope;
/** Every script, style and font of this build; the build puts them in. */
declare const __BUILT_FILES__: string[];

const PAGE = "sandbag-page";
const ASSETS = "sandbag-assets";
const KEPT_BEFORE = ["sandbag-1"];

const whole = new CacheableResponsePlugin({ statuses: [200] });
const pruned = (maxEntries: number) => new ExpirationPlugin({ maxEntries, purgeOnQuotaError: true });
const records = (maxEntries: number) =>
  new ExpirationPlugin({ maxEntries, maxAgeSeconds: KEPT_S, purgeOnQuotaError: true });

/** Whatever page of Sandbag is opened, it is the same one. */
const onePage: WorkboxPlugin = { cacheKeyWillBeUsed: () => Promise.resolve("/") };

/** An answer that is kept tells nothing of the time. */
const timeless: WorkboxPlugin = {
  cacheWillUpdate: ({ response }) => {
    const headers = new Headers(response.headers);
    headers.delete(TIME);
    const { status, statusText } = response;
    return Promise.resolve(new Response(response.body, { status, statusText, headers }));
  },
};

const isRead = (request: Request) => request.method === "GET";

registerRoute(
  ({ request, url }) => request.mode === "navigate" && !url.pathname.startsWith("/api/"),
  new NetworkFirst({ cacheName: PAGE, plugins: [onePage, whole] }),
);
registerRoute(
  ({ request, url }) => isRead(request) && url.pathname.startsWith("/assets/"),
  new CacheFirst({ cacheName: ASSETS, plugins: [whole, pruned(240)] }),
);
registerRoute(
  ({ request, url }) =>
    isRead(request) &&
    request.mode !== "navigate" &&
    url.pathname.startsWith("/api/") &&
    !url.pathname.startsWith("/api/photos/"),
  new NetworkFirst({ cacheName: ANSWERS, plugins: [whole, timeless, records(300)] }),
);
registerRoute(
  ({ request, url }) =>
    isRead(request) && request.mode !== "navigate" && url.pathname.startsWith("/api/photos/"),
  new CacheFirst({ cacheName: PHOTOS, plugins: [whole, records(60)] }),
);

self.addEventListener("install", (event) => {
  void self.skipWaiting();
  event.waitUntil(keepPage());
});

self.addEventListener("activate", (event) =>
  event.waitUntil(Promise.all([self.clients.claim(), ...KEPT_BEFORE.map((name) => caches.delete(name))])),
);

// the page asks once it has nothing else to do
self.addEventListener("message", (event) => {
  if (event.data === KEEP_ROOMS) event.waitUntil(keepRooms());
});

/** Every room, so that it can be entered while the server is away. */
async function keepRooms(): Promise<void> {
  const assets = await caches.open(ASSETS);
  for (const file of __BUILT_FILES__) if (!(await assets.match(file))) await assets.add(file);
}

/** The page that registers this worker was fetched without it: fetch it again, with its scripts and styles. */
async function keepPage(): Promise<void> {
  const page = await fetch("/");
  const assets = (await page.clone().text()).match(/\/assets\/[\w.-]+/g) ?? [];
  await (await caches.open(PAGE)).put("/", page);
  await (await caches.open(ASSETS)).addAll([...new Set(assets)]);
}
