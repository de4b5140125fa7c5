// Keeps the open lesson's Listen and conduct pages, with its styles, scripts and fonts, so that it opens again without a connection.
// Pages come from the network whenever there is one; they are forgotten when somebody signs out, or may not see one.

const PAGES = "rungs-pages";
const FILES = "rungs-files";

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

// Such a page says what it needs to open again.
self.addEventListener("message", (event) => {
  const { page, files } = event.data;
  event.waitUntil(
    Promise.all([
      caches.open(PAGES).then((cache) =>
        fetch(page, { credentials: "same-origin" })
          .then((answer) => (answer.ok && !answer.redirected ? cache.put(page, answer) : null))
          .catch(() => null),
      ),
      caches
        .open(FILES)
        .then((cache) =>
          Promise.all(
            files.map((file) => cache.match(file).then((there) => there || cache.add(file).catch(() => null))),
          ),
        ),
    ]),
  );
});

const fromNetworkFirst = async (request) => {
  try {
    const answer = await fetch(request);
    if (request.method === "GET" && answer.type === "opaqueredirect") await caches.delete(PAGES);
    return answer;
  } catch (gone) {
    const cache = await caches.open(PAGES);
    const kept = (await cache.match(request)) || (await cache.match(request, { ignoreSearch: true }));
    if (kept) return kept;
    throw gone;
  }
};

const fromFilesFirst = async (request) => {
  const kept = await caches.match(request, { cacheName: FILES });
  if (kept) return kept;
  const answer = await fetch(request);
  if (answer.ok) (await caches.open(FILES)).put(request, answer.clone());
  return answer;
};

self.addEventListener("fetch", (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (origin !== self.location.origin) return;
  if (request.method === "POST" && pathname === "/account/logout") {
    event.respondWith(fetch(request).then((answer) => caches.delete(PAGES).then(() => answer)));
  } else if (request.method === "GET" && /^\/(assets|fonts)\//.test(pathname)) {
    event.respondWith(fromFilesFirst(request));
  } else if (request.mode === "navigate" && /^\/(listen|conduct)\//.test(pathname)) {
    event.respondWith(fromNetworkFirst(request));
  }
});
