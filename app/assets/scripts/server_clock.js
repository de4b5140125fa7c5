// What time it is on the server, whatever this device's clock says, for what began there: every answer tells it, and so
// does every page.
const OFF = "rungs-clock-off";
// Milliseconds that an answer may be on its way: within them a clock is right, so that taps keep their order.
const RIGHT = 2000;

let off = Number(localStorage.getItem(OFF)) || 0;

const set = (time, ago = 0) => {
  const found = time + ago - Date.now();
  if (Math.abs(found - off) < RIGHT) return;
  off = found;
  localStorage.setItem(OFF, off);
};

// A page tells it as it begins to arrive; one that was kept for a lost connection does not (sw.js).
const told = document.querySelector('meta[name="server-time"]')?.content;
if (told) set(Number(told), performance.now() - performance.getEntriesByType("navigation")[0].responseStart);

// @param {Response} answer
export const hearTime = (answer) => {
  const time = Number(answer.headers.get("rungs-time"));
  if (time) set(time);
};

// @return {number} milliseconds since the epoch
export const now = () => Date.now() + off;
export const nowText = () => new Date(now()).toISOString();
