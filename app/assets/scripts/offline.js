// Keeps the page and all it uses, so that it opens again without a connection.
export const keepPage = async () => {
  try {
    await navigator.serviceWorker?.register("/sw.js");
    const ready = await navigator.serviceWorker.ready;
    const files = [...document.querySelectorAll("script[src], link[rel=stylesheet]")].map(
      (each) => each.src || each.href,
    );
    const loaded = performance.getEntriesByType("resource").map((each) => each.name);
    const fonts = loaded.filter((name) => name.includes("/fonts/"));
    ready.active.postMessage({ page: location.pathname + location.search, files: [...files, ...fonts] });
  } catch {
    // Without a service worker the page works as long as there is a connection.
  }
};
