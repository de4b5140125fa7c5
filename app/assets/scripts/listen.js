// Listen: child, then rung; two taps are a record. What else is known is added to the last one.
import { Added } from "./added.js";
import { codeOf, meant, titleOf } from "./codes.js";
import { follow } from "./follow.js";
import { Hearing } from "./hearing.js";
import { keepPage } from "./offline.js";
import { post } from "./post.js";
import { Sender } from "./sender.js";
import { Others } from "./others.js";
import { now } from "./server_clock.js";
import { load, swap } from "./swap.js";
import { tell } from "./trouble.js";
import { WrongAnswer } from "./wrong_answer.js";

const BOARD_AWAY = "The board could not be reached. Your records are safe; press again when the connection is back.";

class Listen {
  constructor(page) {
    this.page = page;
    this.base = `/listen/${page.dataset.room}/records`;
    this.child = null; // who was picked
    this.fresh = false; // picked since the last record
    this.key = null; // the last record's key
    this.sender = new Sender(page.dataset.room, page.dataset.problem, {
      show: (tap, html) => this.show(tap, html),
      mark: (taps) => this.markWaiting(taps),
      refuse: (tap) => this.markRefused(tap),
    });
    if (!("conducting" in page.dataset)) follow(page.dataset.follow, () => this.told());
    this.added = new Added();
    this.others = new Others(page);
    this.hearing = new Hearing(page, () => this.seconds());
    this.wrong = new WrongAnswer((said) => this.change(said === "" ? { right: "false" } : { answer: said }));
    this.timed = document.getElementById("timed");
    this.timed.checked = localStorage.getItem("rungs-timed") === "on";
    this.attend();
    const chosen =
      document.querySelector(".child[aria-current]")?.dataset.child ?? sessionStorage.getItem("rungs-picked");
    sessionStorage.removeItem("rungs-picked");
    if (chosen) this.pick(chosen);
    else this.mark();
  }

  attend() {
    document.addEventListener("click", (event) => this.click(event));
    document.addEventListener("submit", (event) => this.submit(event));
    document.addEventListener("keydown", (event) => this.press(event));
    document.addEventListener("change", (event) => this.photo(event));
    document.addEventListener("rungs:heard", ({ detail }) => this.heardElsewhere(detail));
    this.timed.addEventListener("change", () => localStorage.setItem("rungs-timed", this.timed.checked ? "on" : "off"));
  }

  click(event) {
    const on = (name) => event.target.closest(`[data-${name}]`);
    if (on("child")) {
      event.preventDefault();
      this.pick(on("child").dataset.child);
    } else if (on("heard")) this.hearing.tap(on("heard").dataset.heard);
    else if (on("take")) this.take(on("take").dataset);
    else if (on("board")) this.board(on("board"));
    else if (on("change")) this.change(this.added.said(on("change")));
  }

  submit(event) {
    const form = event.target;
    const ours = form.id === "rungs" || form.matches("[data-undo], [data-change-form]");
    if (!ours) return;
    event.preventDefault();
    if (form.id === "rungs") this.record(event.submitter.value);
    else if ("changeForm" in form.dataset) this.change({ answer: form.elements.answer.value });
    else this.undo(form);
  }

  undo(form) {
    const what = `undo: ${form.closest("[data-heard-as]").dataset.heardAs}`;
    this.sender.send(form.getAttribute("action"), { client_key: crypto.randomUUID() }, what);
  }

  // The board moved: the remote is drawn anew to match it; from the problem that both spoke of the page goes along.
  async told() {
    const { problem, room } = this.page.dataset;
    const shown = () => document.getElementById("shown")?.value;
    const before = shown();
    if (before === undefined) return;
    await this.remote().catch(() => {});
    if (before !== problem || !shown() || shown() === problem) return;
    if (this.fresh) sessionStorage.setItem("rungs-picked", this.child);
    location.assign(`/listen/${room}?problem=${shown()}`);
  }

  remote() {
    const { room, problem } = this.page.dataset;
    return load(`/listen/${room}/remote`, "#remote", { problem });
  }

  // The board follows.
  async board(button) {
    const body = new URLSearchParams({ do: button.dataset.board, value: button.dataset.value ?? "" });
    const follow = document.getElementById("remote").dataset.follow;
    try {
      const answer = await post(`${follow}/commands`, body);
      if (!answer.ok) throw new Error(answer.status);
      await this.remote();
    } catch {
      tell(BOARD_AWAY);
    }
  }

  // A photo waits like any tap, and goes once its record has arrived.
  photo({ target }) {
    const form = target.closest("[data-photo-form]");
    if (!form || !target.files.length) return;
    const path = `/photos/${this.page.dataset.room}/records/${this.key}`;
    const what = `a photo of ${this.nameOf(this.child)}’s drawing`;
    this.sender.send(path, { client_key: crypto.randomUUID(), photo: target.files[0] }, what);
    target.value = "";
  }

  // One tap takes what was proposed.
  take({ take, move, answer }) {
    this.fresh = this.child !== null;
    this.record(take, { ...(move && { move }), ...(answer && { answer }), heard: this.hearing.said() });
    this.hearing.forget();
  }

  // Which problem: one that was posed, or an item that is posed when the tap arrives.
  of() {
    const { problem, part, item } = this.page.dataset;
    const { equation } = this.page.dataset;
    return { ...(problem ? { problem_id: problem } : { part_id: part, item }), ...(equation && { equation }) };
  }

  seconds() {
    const passed = Math.round((now() - Date.parse(this.page.dataset.posedAt)) / 1000);
    return this.timed.checked && passed >= 0 && passed <= 600 ? { seconds: passed } : {};
  }

  pick(id) {
    if (id !== this.child) this.hearing.forget();
    this.child = id;
    this.fresh = true;
    this.others.tell(id);
    document.querySelectorAll("[data-by]").forEach((field) => (field.value = id));
    this.mark();
    tell("");
  }

  mark() {
    document.querySelectorAll("[data-child]").forEach((each) => {
      if (each.dataset.child === this.child) each.setAttribute("aria-current", "true");
      else each.removeAttribute("aria-current");
      each.setAttribute("role", "button");
      each.setAttribute("aria-pressed", each.dataset.child === this.child);
    });
    this.markRung();
  }

  // The rung of the record that stands for the chosen child, until the next name.
  markRung() {
    const { code } = document.querySelector("#just-now .now").dataset;
    const rungs = document.querySelectorAll("#rungs button[name=code]");
    rungs.forEach((each) => each.setAttribute("aria-pressed", !this.fresh && each.value === code));
  }

  markWaiting(taps) {
    taps.forEach(({ values }) => {
      document.querySelector(`[data-child="${values.child_id}"]`)?.classList.add("is-waiting");
    });
  }

  markRefused({ values }) {
    const name = document.querySelector(`[data-child="${values.child_id}"]`);
    name?.classList.remove("is-waiting");
    if (values.client_key === this.key) this.fresh = true;
  }

  // Somebody else heard or changed something in this lesson: its marks and the last records are drawn anew.
  async heardElsewhere({ problem, made }) {
    const here = this.page.dataset.problem;
    if (this.sender.sent.has(made) || (problem && String(problem) !== here)) return;
    const path = `/listen/${this.page.dataset.room}/heard?problem=${here}`;
    const answer = await fetch(path, { headers: { "HX-Request": "true" } }).catch(() => null);
    if (!answer?.ok) return;
    swap("#others", await answer.text());
    this.mark();
    this.count();
  }

  // A rung after a name is a new record; another rung right after corrects it.
  record(code, details = {}) {
    if (!this.child) {
      tell("Pick a child first, then the rung.");
      return;
    }
    if (!this.fresh) {
      this.change({ code });
      return;
    }
    this.fresh = false;
    this.key = crypto.randomUUID();
    const of = { child_id: this.child, ...this.of(), client_key: this.key, happened_at: new Date().toISOString() };
    this.sender.send(this.base, { ...of, code, ...this.seconds(), ...details }, this.say(code));
  }

  // In words, for the list of what could not be kept.
  say(code) {
    const equation = this.page.dataset.equation ? `, ${this.page.dataset.equation}` : "";
    return `${this.nameOf(this.child)}: ${titleOf(code)}${equation}`;
  }

  nameOf = (child) => document.querySelector(`[data-child="${child}"]`)?.dataset.name ?? "a child";

  // Of the last record.
  change(values) {
    const what = `${this.nameOf(this.child)}: ${values.code ? titleOf(values.code) : "what was added"}`;
    const path = `${this.base}/${this.key}/changes`;
    this.sender.send(path, { ...values, client_key: crypto.randomUUID() }, what);
  }

  // An answer holds only what one record changed; its row is put in anew.
  show({ path, values }, html) {
    if (values.photo) this.showPhotos(path.split("/").at(-1), html);
    if (!path.startsWith(this.base)) return;
    const key = path === this.base ? values.client_key : path.split("/").at(-2);
    document.getElementById(`record-${key}`)?.remove();
    swap("#just-now", html);
    this.added.show();
    this.mark();
    if (key === this.key && !this.added.key) this.fresh = true; // undone: the next rung is a record of its own
    this.count();
  }

  showPhotos(key, html) {
    if (key === this.added.key) document.querySelector(".photos-kept").innerHTML = html;
  }

  count() {
    const children = document.querySelectorAll("[data-child]").length;
    const heard = document.querySelectorAll("[data-child] .tick").length;
    const [there, left] = document.querySelectorAll("#tally span");
    there.textContent = heard;
    left.textContent = children - heard;
  }

  press(event) {
    if (!meant(event)) return;
    if (this.wrong.typing && this.wrong.type(event.key)) {
      event.preventDefault();
      return;
    }
    const act = this.keys(event.key);
    if (!act) return;
    event.preventDefault();
    act();
  }

  keys(key) {
    const code = codeOf(key);
    if (code) return () => this.record(code);
    if (key === "u") return () => document.querySelector("#live [data-undo] button")?.click();
    if (key === "x")
      return () => (this.key ? this.wrong.start() : tell("Tap a child and a rung first, then x and the wrong answer."));
    if (key === "n") return () => location.assign(this.page.dataset.next);
    return /^\p{L}$/u.test(key) ? () => this.pickByLetter(key.toLowerCase()) : null;
  }

  // The same letter again goes on to the next child with it. Capitals reach the names whose letter is a command.
  pickByLetter(letter) {
    const all = [...document.querySelectorAll("[data-child]")];
    const those = all.filter((each) => each.dataset.name.toLowerCase().startsWith(letter));
    if (!those.length) return;
    const at = those.findIndex((each) => each.dataset.child === this.child);
    this.pick(those[(at + 1) % those.length].dataset.child);
  }
}

const page = document.getElementById("listen");
if (page) {
  window.listen = new Listen(page);
  keepPage();
}
