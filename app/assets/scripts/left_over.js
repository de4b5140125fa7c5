// Taps that wait on this device: the sign-in page says how many, and once somebody is signed in any page sends them.
import { Sender } from "./sender.js";
import { Waiting } from "./waiting.js";

const note = document.getElementById("waiting-note");
const listening = document.querySelector("[data-problem], [data-conducting]");

const sayHowMany = (taps) => {
  note.textContent =
    taps.length === 1
      ? "1 tap waits on this device. It is kept; signing in sends it."
      : `${taps.length} taps wait on this device. They are kept; signing in sends them.`;
  note.hidden = false;
};

// A page with its own sender sends what is of its class.
const send = (taps) => {
  const rooms = new Set(taps.map((tap) => tap.room));
  rooms.delete(listening?.dataset.room);
  rooms.forEach((room) => new Sender(room, null, { show: () => {}, mark: () => {} }));
};

if (note || document.querySelector("nav.tabs")) {
  const taps = await new Waiting(null).everybody();
  if (note && taps.length) sayHowMany(taps);
  else if (!note && taps.length) send(taps);
}
