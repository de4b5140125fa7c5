// Taps that wait on this device: the sign-in page says how many; once somebody is signed in any page sends what is theirs,
// and counts what is another's. The sign-in page also clears what was kept of pages for those who were signed in before.
import { showRefused } from "./refused.js";
import { Sender } from "./sender.js";
import { Waiting, WHO } from "./waiting.js";

const note = document.getElementById("waiting-note");
const others = document.getElementById("others-waiting");
const listening = document.querySelector("[data-problem], [data-conducting]");
const waiting = new Waiting();

const many = (taps, whose) => (taps.length === 1 ? `1 tap${whose} waits` : `${taps.length} taps${whose} wait`);
const they = (taps) => (taps.length === 1 ? "It is" : "They are");

const say = (place, words) => {
  place.textContent = words;
  place.hidden = false;
};

const sayHowMany = (taps) =>
  say(note, `${many(taps, "")} on this device. ${they(taps)} kept, and sent when who tapped signs in here.`);

// A page with its own sender sends what is of its class.
const send = (taps) => {
  const rooms = new Set(taps.map((tap) => tap.room));
  rooms.delete(listening?.dataset.room);
  rooms.forEach((room) => new Sender(room, null, { show: () => {}, mark: () => {} }));
};

if (note) {
  window.caches?.delete("rungs-pages");
  const taps = await waiting.everybody();
  if (taps.length) sayHowMany(taps);
} else if (WHO) {
  send(await waiting.all());
  await showRefused();
  const theirs = await waiting.ofOthers();
  if (others && theirs.length) say(others, `${many(theirs, " of another teacher")} here.`);
}
