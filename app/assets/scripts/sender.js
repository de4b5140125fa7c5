// Sends what waits, oldest first: one window at a time, each tap until the server has answered for it.
import { token } from "./token.js";
import { tell } from "./trouble.js";
import { Waiting } from "./waiting.js";

const REASONS = {
  401: document.body.dataset.signedOut ?? "you are signed out; sign in in another tab",
  403: "this page is too old; load it again",
};

const bodyOf = (values) => {
  if (!values.photo) return new URLSearchParams(values);
  const form = new FormData();
  Object.entries(values).forEach(([name, value]) => form.append(name, value));
  return form;
};

export class Sender {
  // @param {string} room
  // @param {string} problem what the page is about; answers for another are not shown
  // @param {function} show (tap, html) puts an answer in its place
  // @param {function} mark (taps) shows which taps wait
  constructor(room, problem, { show, mark }) {
    this.room = room;
    this.problem = problem;
    this.shows = [show];
    this.mark = mark;
    this.waiting = new Waiting(room);
    window.addEventListener("online", () => this.pump());
    this.pump();
  }

  // One more that puts answers in their place; each takes those it knows by their path.
  showing(show) {
    this.shows.push(show);
  }

  // Into the browser's own store first.
  async send(path, values) {
    await this.waiting.add({ room: this.room, problem: this.problem, path, values });
    this.pump();
  }

  async pump() {
    clearTimeout(this.retry);
    await navigator.locks.request("rungs-taps", async () => {
      for (let tap = await this.waiting.first(); tap; tap = await this.waiting.first()) {
        const answer = await this.post(tap);
        if (!answer) return;
        await this.waiting.remove(tap.id);
        if (answer.status === 200 && tap.problem === this.problem) await this.put(tap, answer);
        tell([404, 422].includes(answer.status) ? await answer.text() : "");
      }
    });
  }

  async put(tap, answer) {
    const html = await answer.text();
    this.shows.forEach((show) => show(tap, html));
  }

  // @return the server's word, good or bad; null where the tap has to wait
  async post({ path, values }) {
    try {
      const headers = { "X-CSRF-Token": token(), "HX-Request": "true" };
      const answer = await fetch(path, { method: "POST", body: bodyOf(values), headers });
      if (answer.ok || [404, 422].includes(answer.status)) return answer;
      return this.wait(REASONS[answer.status] ?? "the server could not take it");
    } catch {
      return this.wait("no connection");
    }
  }

  async wait(reason) {
    const taps = await this.waiting.all();
    const many = taps.length === 1 ? "1 tap is" : `${taps.length} taps are`;
    tell(
      `${many} waiting: ${reason}. ${taps.length === 1 ? "It is" : "They are"} kept on this device and sent as soon as it works again.`,
    );
    this.mark(taps);
    this.retry = setTimeout(() => this.pump(), 3000);
    return null;
  }
}
