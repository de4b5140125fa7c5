// Follows a lesson's board by server-sent events. The server speaks every few seconds; where it has been silent for long,
// the line is dead and is made anew.

const SILENT = 12000;

// @param {string} path whose events are followed
// @param {function} told (version) is called for each; false from it ends the following
export const follow = (path, told) => {
  const events = new EventSource(`${path}/events`);
  let watch;
  const again = () => {
    clearTimeout(watch);
    events.close();
    setTimeout(() => follow(path, told), 1000);
  };
  const expect = () => {
    clearTimeout(watch);
    watch = setTimeout(again, SILENT);
  };
  expect();
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
