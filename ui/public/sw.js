// Keeps the page and the last answers at hand, so that a reload while the server is away still shows the job.
// The network always comes first: nothing old is shown while the server answers.
const SHELF = "sandbag-1";

self.addEventListener("install", (event) => {
  self.skipWaiting();
  event.waitUntil(keepPage());
});

self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

self.addEventListener("fetch", (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== "GET" || url.origin !== self.location.origin || url.pathname === "/sw.js") return;
  if (url.pathname.startsWith("/assets/")) event.respondWith(shelfFirst(request));
  else event.respondWith(networkFirst(request, request.mode === "navigate" ? "/" : request));
});

// The page that registers this worker was fetched without it: fetch it again, with its scripts and styles.
async function keepPage() {
  const page = await fetch("/");
  const assets = (await page.clone().text()).match(/\/assets\/[\w.-]+/g) ?? [];
  await keep("/", page);
  await Promise.all(assets.map(async (asset) => keep(asset, await fetch(asset))));
}

async function shelfFirst(request) {
  return (await caches.match(request)) ?? keep(request, await fetch(request));
}

async function networkFirst(request, key) {
  try {
    return await keep(key, await fetch(request));
  } catch (fault) {
    const kept = await caches.match(key);
    if (kept) return kept;
    throw fault;
  }
}

async function keep(key, response) {
  if (response.ok) {
    const shelf = await caches.open(SHELF);
    await shelf.put(key, response.clone());
  }
  return response;
}
