// Follows a lesson's board by server-sent events. The server speaks every few seconds; where it has been silent for long,
// the line is dead and is made anew.

const SILENT = 12000;

// @param {string} path whose events are followed
// @param {function} full is called where too many windows show it already
// @param {function} told (version) is called for each; false from it ends the following
export const follow = (path, told, full = () => {}) => {
  const events = new EventSource(`${path}/events`);
  let watch;
  const again = () => {
    clearTimeout(watch);
    events.close();
    setTimeout(() => follow(path, told, full), 1000);
  };
  const expect = () => {
    clearTimeout(watch);
    watch = setTimeout(again, SILENT);
  };
  expect();
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
