// Keeps the open lesson's Listen and conduct pages, with its styles, scripts and fonts, so that it opens again without a
// connection. Pages come from the network whenever there is one; they are forgotten when somebody signs out, closes the
// account, erases a child, or may not see one any more.

const PAGES = "rungs-pages";
const FILES = "rungs-files";
const KEPT = /^\/(listen|conduct)\//;
const FORGETS = /^\/account\/(logout|close-account|sessions|classes\/\d+\/children\/\d+\/(delete|leave))$/;

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

// What time it was on the server is not true any more when a kept page opens.
const timeless = async (answer) => {
  const html = (await answer.text()).replace(/(name="server-time" content=")\d+/, "$1");
  return new Response(html, { headers: { "content-type": answer.headers.get("content-type") } });
};

const keepPages = async (pages) => {
  const cache = await caches.open(PAGES);
  const keep = async (page) => {
    const answer = await fetch(page, { credentials: "same-origin" }).catch(() => null);
    if (answer?.ok && !answer.redirected) await cache.put(page, await timeless(answer));
  };
  await Promise.all(pages.map(keep));
};

const keepFiles = async (files) => {
  const cache = await caches.open(FILES);
  const keep = async (file) => (await cache.match(file)) || cache.add(file).catch(() => null);
  await Promise.all(files.map(keep));
};

// Such a page says what it needs to open again.
self.addEventListener("message", (event) => {
  const { pages, files } = event.data;
  event.waitUntil(Promise.all([keepPages(pages), keepFiles(files)]));
});

// Storage may not answer, for ever: what is asked of it is waited for so long, and then goes on by itself.
const PATIENCE = 1000;
const soon = (answer) => Promise.race([answer.catch(() => null), new Promise((done) => setTimeout(done, PATIENCE))]);

const fromNetworkFirst = async (request) => {
  try {
    const answer = await fetch(request);
    if (answer.type === "opaqueredirect" || answer.redirected || answer.status === 401)
      await soon(caches.delete(PAGES));
    return answer;
  } catch (gone) {
    const cache = await caches.open(PAGES);
    const kept = (await cache.match(request)) || (await cache.match(request, { ignoreSearch: true }));
    if (kept) return kept;
    throw gone;
  }
};

const fromFilesFirst = async (request) => {
  const kept = await soon(caches.match(request, { cacheName: FILES }));
  if (kept) return kept;
  const answer = await fetch(request);
  const copy = answer.ok && answer.clone();
  if (copy) soon(caches.open(FILES).then((cache) => cache.put(request, copy)));
  return answer;
};

// Whatever the server says: what is asked for is that nothing stays here.
const forgetting = async (request) => {
  await soon(caches.delete(PAGES));
  return fetch(request);
};

self.addEventListener("fetch", (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (origin !== self.location.origin) return;
  if (request.method === "POST" && FORGETS.test(pathname)) {
    event.respondWith(forgetting(request));
  } else if (request.method === "GET" && /^\/(assets|fonts)\//.test(pathname)) {
    event.respondWith(fromFilesFirst(request));
  } else if (
    request.method === "GET" &&
    KEPT.test(pathname) &&
    (request.mode === "navigate" || /\/kept$/.test(pathname))
  ) {
    event.respondWith(fromNetworkFirst(request));
  }
});
