// Follows a lesson's board by server-sent events. The server speaks every few seconds; where it has been silent for long,
// the line is dead and is made anew. What others hear in the lesson comes the same way, to those who may know it: as an
// event of the document (rungs:heard), with nothing said of whom where something may have been missed.

const SILENT = 12000;

// @param {string} path whose events are followed
// @param {function} full is called where too many windows show it already
// @param {function} told (version) is called for each; false from it ends the following
export const follow = (path, told, full = () => {}, anew = false) => {
  const events = new EventSource(`${path}/events`);
  let watch;
  let missed = anew;
  const again = () => {
    clearTimeout(watch);
    events.close();
    setTimeout(() => follow(path, told, full, true), 1000);
  };
  const expect = () => {
    clearTimeout(watch);
    watch = setTimeout(again, SILENT);
  };
  const tellHeard = (detail) => document.dispatchEvent(new CustomEvent("rungs:heard", { detail }));
  expect();
  events.addEventListener("heard", ({ data }) => tellHeard(JSON.parse(data)));
  events.addEventListener("opened", ({ data }) => {
    document.dispatchEvent(new CustomEvent("rungs:opened", { detail: JSON.parse(data) }));
  });
  events.addEventListener("open", () => {
    if (missed) tellHeard({});
    missed = true;
  });
  events.addEventListener("full", () => {
    clearTimeout(watch);
    events.close();
    full();
  });
  events.onmessage = async ({ data }) => {
    expect();
    if ((await told(Number(data))) !== false) return;
    clearTimeout(watch);
    events.close();
  };
  // The browser comes back by itself after a dropped line, but gives up where it was refused (the lesson has ended).
  events.onerror = () => {
    if (events.readyState === EventSource.CLOSED) again();
  };
};
