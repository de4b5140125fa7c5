// Sends what waits, oldest first: one window at a time, each tap until the server has said that it is kept. What the server
// says cannot be kept goes to a list that the teacher sees.
import { post } from "./post.js";
import { showRefused } from "./refused.js";
import { tell } from "./trouble.js";
import { Waiting } from "./waiting.js";

const RETRY = 3000;
// Answers after which a tap waits on; others say that it cannot be kept.
const WAITS = {
  401: document.body.dataset.signedOut ?? "you are signed out; sign in in another tab",
  403: "this page is too old; load it again",
  408: "the server took too long",
  429: "too much was sent at once",
  507: "the server has no room left on its disk; tell whoever keeps it",
};
const BUSY = "the server could not take it";
const BEHIND = "what it belongs to could not be kept";

const bodyOf = (values) => {
  if (!values.photo) return new URLSearchParams(values);
  const form = new FormData();
  Object.entries(values).forEach(([name, value]) => form.append(name, value));
  return form;
};

const waitsAfter = ({ status, ok, headers }) => {
  if (ok) return headers.has("rungs-kept") ? null : "the answer did not come from Rungs";
  return WAITS[status] ?? (status >= 500 ? BUSY : null);
};

// Whether a tap changes a record that is not there, since that could not be kept.
const belongsTo = (refused) => (tap) => tap.path.includes(`/records/${refused.values.client_key}/`);

export class Sender {
  // @param {string} room
  // @param {string} problem what the page is about; answers for another are not shown
  // @param {function} show (tap, html) puts an answer in its place
  // @param {function} mark (taps) shows which taps wait
  // @param {function} refuse (tap) shows that one could not be kept
  constructor(room, problem, { show, mark, refuse = () => {} }) {
    this.room = room;
    this.problem = problem;
    this.shows = [show];
    this.mark = mark;
    this.markRefused = refuse;
    this.sent = new Set(); // keys of what this page has sent
    this.waiting = new Waiting(room);
    window.addEventListener("online", () => this.pump());
    document.addEventListener("rungs:again", () => this.pump());
    this.pump();
  }

  // One more that puts answers in their place; each takes those it knows by their path.
  showing(show) {
    this.shows.push(show);
  }

  // Into the browser's own store first.
  // @param {string} what in words, for the list of what could not be kept
  async send(path, values, what) {
    this.sent.add(values.client_key);
    await this.waiting.add({ room: this.room, problem: this.problem, path, values, what });
    this.pump();
  }

  async pump() {
    clearTimeout(this.retry);
    await navigator.locks.request("rungs-taps", async () => {
      for (let tap = await this.waiting.first(); tap; tap = await this.waiting.first()) {
        if (!(await this.deliver(tap))) return;
      }
    });
  }

  // @return {boolean} whether the next one may go
  async deliver(tap) {
    const refused = (await this.waiting.refused()).find((each) => belongsTo(each)(tap));
    if (refused) return this.refuse(tap, BEHIND);
    const answer = await post(tap.path, bodyOf(tap.values)).catch(() => null);
    const reason = answer ? waitsAfter(answer) : "no connection";
    if (reason) return this.wait(reason);
    if (!answer.ok) return this.refuse(tap, await this.reasonOf(answer));
    await this.waiting.remove(tap.id);
    tell("");
    if (tap.problem === this.problem) await this.put(tap, answer);
    return true;
  }

  // A page says too much for a line.
  async reasonOf(answer) {
    const plain = answer.headers.get("content-type")?.startsWith("text/plain");
    return plain ? await answer.text() : "the server does not know what it is about";
  }

  async put(tap, answer) {
    const html = await answer.text();
    this.shows.forEach((show) => show(tap, html));
  }

  async refuse(tap, reason) {
    await this.waiting.refuse(tap, reason);
    this.markRefused(tap);
    await showRefused();
    tell(reason);
    return true;
  }

  // What was mended and is sent again takes the place of what could not be kept.
  async mended(same) {
    const taps = (await this.waiting.refused()).filter(same);
    for (const tap of taps) await this.waiting.remove(tap.id);
    if (taps.length) await showRefused();
  }

  async wait(reason) {
    const taps = await this.waiting.all();
    const many = taps.length === 1 ? "1 tap is" : `${taps.length} taps are`;
    tell(
      `${many} waiting: ${reason}. ${taps.length === 1 ? "It is" : "They are"} kept on this device and sent as soon as it works again.`,
    );
    this.mark(taps);
    this.retry = setTimeout(() => this.pump(), RETRY);
    return false;
  }
}
