// Keeps the page and all it uses, so that it opens again without a connection, for as long as somebody is signed in.
// @param {...string} more addresses of what belongs to it
export const keepPage = async (...more) => {
  try {
    await navigator.serviceWorker?.register("/sw.js");
    const ready = await navigator.serviceWorker.ready;
    const loaded = performance.getEntriesByType("resource").map((each) => each.name);
    const files = loaded.filter((name) => /\/(assets|fonts)\//.test(name));
    ready.active.postMessage({ pages: [location.pathname + location.search, ...more], files });
  } catch {
    // Without a service worker the page works as long as there is a connection.
  }
};
