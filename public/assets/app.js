// What the pages do in the browser: htmx carries the token, dialogs open, and Listen takes taps and keys.
"use strict";

const token = () => document.querySelector('meta[name="csrf-token"]').content;
document.addEventListener("htmx:configRequest", (event) => { event.detail.headers["X-CSRF-Token"] = token(); });
// What is put into a dialog opens it; a figure shows the records behind it there.
document.addEventListener("htmx:afterSwap", ({ target }) => {
  const dialog = target.closest?.("dialog");
  if (dialog && !dialog.open) dialog.showModal();
});
document.addEventListener("click", (event) => {
  const link = event.target.closest("[data-behind] a");
  if (!link || event.ctrlKey || event.metaKey || event.shiftKey) return;
  event.preventDefault();
  htmx.ajax("GET", link.getAttribute("href"), "#why-text");
});

const trouble = document.getElementById("trouble");
const tell = (words) => { if (trouble) { trouble.textContent = words; trouble.hidden = !words; } };

// The key of each rung, and of each answer off the ladder.
const CODES = { 1: "count_all", 2: "count_on", 3: "part_whole", 4: "make_ten", 5: "known_fact", 0: "no_answer", g: "guess", "?": "unseen" };

// A check-in takes the same keys; x, digits and Enter for a wrong answer, then the rung.
const answers = document.getElementById("answers");
if (answers) {
  const said = answers.answer;
  document.addEventListener("keydown", (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.target === said) return event.key === "Enter" && said.blur();
    if (event.key === "x") { event.preventDefault(); return said.focus(); }
    answers.querySelector(`[name=code][value=${CODES[event.key]}]`)?.click();
  });
}

// Taps that the server has not answered for yet, in this browser (IndexedDB), oldest first.
class Waiting {
  constructor(room) {
    this.room = room;
    this.store = idb.openDB("rungs", 1, { upgrade: (db) => db.createObjectStore("taps", { keyPath: "id", autoIncrement: true }) });
  }

  async add(tap) { return (await this.store).add("taps", tap); }
  async remove(id) { return (await this.store).delete("taps", id); }
  async all() { return (await (await this.store).getAll("taps")).filter((tap) => tap.room === this.room); }
  async first() { return (await this.all())[0]; }
}

// The quiet clock of the part going on, for the teacher.
const clock = document.querySelector("[data-clock]");
if (clock) {
  const begun = Date.now() - Number(clock.dataset.clock) * 1000;
  setInterval(() => {
    const passed = Math.floor((Date.now() - begun) / 1000);
    clock.textContent = `${Math.floor(passed / 60)}:${String(passed % 60).padStart(2, "0")}`;
  }, 1000);
}

// A slider of days says the day while it is moved; it runs from long ago at the left to today at the right.
document.addEventListener("input", ({ target }) => {
  if (!target.dataset?.day) return;
  const day = new Date(`${target.dataset.day}T12:00:00`);
  day.setDate(day.getDate() - Number(target.value));
  target.nextElementSibling.value = day.toLocaleDateString("en-GB", { day: "numeric", month: "long" });
});

class Listen {
  constructor(page) {
    this.page = page;
    this.waiting = new Waiting(page.dataset.room);
    this.live = document.getElementById("live");
    this.base = `/listen/${page.dataset.room}/records`;
    this.child = null;    // who was picked
    this.fresh = false;   // picked since the last record
    this.key = null;      // the last record's key
    this.typed = null;    // digits of a wrong answer being typed
    document.addEventListener("click", (event) => this.click(event));
    document.addEventListener("submit", (event) => this.submit(event));
    document.addEventListener("keydown", (event) => this.press(event));
    document.addEventListener("change", (event) => this.photo(event));
    document.getElementById("typed-heard").addEventListener("input", (event) => this.typeHeard(event.target));
    document.addEventListener("htmx:afterSettle", () => this.mark());
    window.addEventListener("online", () => this.pump());
    this.pump();
    this.heard = [];      // numbers the child said
    this.timed = document.getElementById("timed");
    this.timed.checked = localStorage.getItem("rungs-timed") === "on";
    this.timed.addEventListener("change", () => localStorage.setItem("rungs-timed", this.timed.checked ? "on" : "off"));
    const chosen = document.querySelector(".child[aria-current]");
    if (chosen) this.pick(chosen.dataset.child);
  }

  click(event) {
    const child = event.target.closest("[data-child]");
    if (child) { event.preventDefault(); return this.pick(child.dataset.child); }
    const number = event.target.closest("[data-heard]");
    if (number) return this.hear(number.dataset.heard);
    const take = event.target.closest("[data-take]");
    if (take) return this.take(take.dataset);
    const remote = event.target.closest("[data-board]");
    if (remote) return this.board(remote);
    const change = event.target.closest("[data-change]");
    if (change) this.change(change.dataset.change, { [change.name]: change.value });
  }

  submit(event) {
    const form = event.target;
    if (form.id === "rungs") { event.preventDefault(); this.record(event.submitter.value); }
    if (form.matches("[data-undo]")) { event.preventDefault(); this.send(form.getAttribute("action"), { client_key: crypto.randomUUID() }); }
    if (form.dataset.changeForm) { event.preventDefault(); this.change(form.dataset.changeForm, { answer: form.elements.answer.value }); }
  }

  // The board follows; the remote is drawn anew to match it.
  board(button) {
    const remote = document.getElementById("remote");
    fetch(`${remote.dataset.follow}/commands`, { method: "POST", headers: { "X-CSRF-Token": token() }, body: new URLSearchParams({ do: button.dataset.board, value: button.dataset.value ?? "" }) })
      .then((answer) => { if (!answer.ok) throw new Error(answer.status); return htmx.ajax("GET", `/listen/${this.page.dataset.room}/remote?problem=${this.page.dataset.problem}`, { target: "#remote", swap: "innerHTML" }); })
      .catch(() => tell("The board could not be reached. Your records are safe; press again when the connection is back."));
  }

  // A photo waits like any tap, and goes once its record has arrived.
  photo({ target }) {
    const form = target.closest("[data-photo-form]");
    if (!form || !target.files.length) return;
    this.send(form.getAttribute("action"), { client_key: crypto.randomUUID(), photo: target.files[0] });
    target.value = "";
  }

  typeHeard(field) {
    clearTimeout(this.typing);
    this.typing = setTimeout(() => { this.heard = field.value.match(/\d{1,3}/g)?.slice(0, 60) ?? []; this.propose(); }, 350);
  }

  // Each number tapped asks anew which move it may be; one tap takes the answer.
  hear(number) {
    if (number === "back") this.heard.pop(); else this.heard.push(number);
    this.propose();
  }

  propose() {
    document.getElementById("heard").textContent = this.heard.length ? `: ${this.heard.join(" ")}` : "";
    const target = "#candidates";
    if (!this.heard.length) document.querySelector(target).textContent = "";
    else htmx.ajax("GET", `/listen/${this.page.dataset.room}/hearing`, { target, swap: "innerHTML", values: { problem: this.page.dataset.problem, heard: this.heard.join(" "), ...this.seconds() } }).catch(() => {});
  }

  take({ take, move, answer }) {
    const heard = this.heard.join(" ");
    this.fresh = this.child !== null;
    this.record(take, { ...(move && { move }), ...(answer && { answer }), heard });
    this.forget();
  }

  forget() {
    document.getElementById("typed-heard").value = "";
    if (this.heard.length) { this.heard = []; document.getElementById("heard").textContent = ""; document.getElementById("candidates").textContent = ""; }
  }

  seconds() {
    const passed = Math.round((Date.now() - Date.parse(this.page.dataset.posedAt)) / 1000);
    return this.timed.checked && passed >= 0 && passed <= 600 ? { seconds: passed } : {};
  }

  pick(id) {
    if (id !== this.child) this.forget();
    this.child = id;
    this.fresh = true;
    this.mark();
    tell("");
  }

  mark() {
    document.querySelectorAll("[data-child]").forEach((each) => {
      if (each.dataset.child === this.child) each.setAttribute("aria-current", "true"); else each.removeAttribute("aria-current");
    });
  }

  // A rung after a name is a new record; another rung right after corrects it.
  record(code, details = {}) {
    if (!this.child) return tell("Pick a child first, then the rung.");
    if (!this.fresh) return this.change(`${this.base}/${this.key}/changes`, { code });
    this.fresh = false;
    this.key = crypto.randomUUID();
    this.send(this.base, { child_id: this.child, problem_id: this.page.dataset.problem, code, client_key: this.key, happened_at: new Date().toISOString(), ...this.seconds(), ...details });
  }

  change(path, values) { this.send(path, { ...values, client_key: crypto.randomUUID() }); }

  // Into the browser's own store first, so that it outlives a lost connection and a closed tablet.
  async send(path, values) {
    await this.waiting.add({ room: this.page.dataset.room, problem: this.page.dataset.problem, path, values });
    this.pump();
  }

  // Sends what waits, oldest first; one window at a time, each tap until the server has answered for it.
  async pump() {
    clearTimeout(this.retry);
    await navigator.locks.request("rungs-taps", async () => {
      for (let tap = await this.waiting.first(); tap; tap = await this.waiting.first()) {
        const answer = await this.post(tap);
        if (!answer) return;
        await this.waiting.remove(tap.id);
        if (answer.status === 200 && tap.problem === this.page.dataset.problem) this.show(tap, await answer.text());
        tell([404, 422].includes(answer.status) ? await answer.text() : "");
      }
    });
  }

  show({ path, values }, html) {
    if (!values.photo) { htmx.swap("#live", html, { swapStyle: "innerHTML" }); return; }
    const place = document.getElementById(`photos-${path.split("/").at(-1)}`);
    if (place) place.innerHTML = html;
  }

  // @return the server's word, good or bad; null where the tap has to wait
  async post({ path, values }) {
    try {
      const answer = await fetch(path, { method: "POST", body: this.body(values), headers: { "X-CSRF-Token": token(), "HX-Request": "true" } });
      if (answer.ok || [404, 422].includes(answer.status)) return answer;
      return this.wait({ 401: "you are signed out; sign in in another tab", 403: "this page is too old; load it again" }[answer.status] ?? "the server could not take it");
    } catch {
      return this.wait("no connection");
    }
  }

  body(values) {
    if (!values.photo) return new URLSearchParams(values);
    const form = new FormData();
    Object.entries(values).forEach(([name, value]) => form.append(name, value));
    return form;
  }

  async wait(reason) {
    const waiting = await this.waiting.all();
    tell(`${waiting.length === 1 ? "1 tap is" : `${waiting.length} taps are`} waiting: ${reason}. They are kept on this device and sent as soon as it works again.`);
    waiting.forEach(({ values }) => document.querySelector(`[data-child="${values.child_id}"]`)?.classList.add("is-waiting"));
    this.retry = setTimeout(() => this.pump(), 3000);
    return null;
  }

  press(event) {
    if (event.ctrlKey || event.metaKey || event.altKey || event.target.matches("input:not([type=checkbox]), textarea, select")) return;
    if (this.typed !== null && this.type(event)) return event.preventDefault();
    const act = this.keys(event);
    if (act) { event.preventDefault(); act(); }
  }

  keys({ key }) {
    if (CODES[key]) return () => this.record(CODES[key]);
    if (key === "u") return () => this.live.querySelector("[data-undo] button")?.click();
    if (key === "x") return () => this.startTyping();
    if (key === "n") return () => { location.href = this.page.dataset.next; };
    if (/^\p{L}$/u.test(key)) return () => this.pickByLetter(key.toLowerCase());
    return null;
  }

  // The same letter again goes on to the next child with it. Capitals reach the names whose letter is a command.
  pickByLetter(letter) {
    const those = [...document.querySelectorAll("[data-child]")].filter((each) => each.dataset.name.toLowerCase().startsWith(letter));
    if (!those.length) return;
    const at = those.findIndex((each) => each.dataset.child === this.child);
    this.pick(those[(at + 1) % those.length].dataset.child);
  }

  startTyping() {
    if (!this.key) return tell("Tap a child and a rung first, then x and the wrong answer.");
    this.typed = "";
    tell("Wrong answer: type the number, then Enter.");
  }

  type({ key }) {
    clearTimeout(this.pause);
    if (/^\d$/.test(key) && this.typed.length < 3) {
      this.typed += key;
      tell(`Wrong answer: ${this.typed}`);
      this.pause = setTimeout(() => this.stopTyping(), 1500);
      return true;
    }
    if (key === "Escape") { this.typed = null; tell(""); return true; }
    this.stopTyping();
    return key === "Enter";
  }

  stopTyping() {
    const said = this.typed;
    this.typed = null;
    tell("");
    this.change(`${this.base}/${this.key}/changes`, said === "" ? { right: "false" } : { answer: said });
  }
}

const page = document.getElementById("listen");
if (page) {
  window.listen = new Listen(page);
  // The page and all it uses, so that it opens again without a connection.
  navigator.serviceWorker?.register("/sw.js").then(() => navigator.serviceWorker.ready).then((ready) => {
    const files = [...document.querySelectorAll("script[src], link[rel=stylesheet]")].map((each) => each.src || each.href);
    const fonts = performance.getEntriesByType("resource").map((each) => each.name).filter((name) => name.includes("/fonts/"));
    ready.active.postMessage({ page: location.pathname + location.search, files: [...files, ...fonts] });
  }).catch(() => {});
}
