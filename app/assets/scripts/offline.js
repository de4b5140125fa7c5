// Keeps the page and all it uses, so that it opens again without a connection.
export const keepPage = async () => {
  try {
    await navigator.serviceWorker?.register("/sw.js");
    const ready = await navigator.serviceWorker.ready;
    const loaded = performance.getEntriesByType("resource").map((each) => each.name);
    const files = loaded.filter((name) => /\/(assets|fonts)\//.test(name));
    ready.active.postMessage({ page: location.pathname + location.search, files });
  } catch {
    // Without a service worker the page works as long as there is a connection.
  }
};
