// What the pages do in the browser: htmx carries the token, dialogs open, and Listen takes taps and keys.
"use strict";

const token = () => document.querySelector('meta[name="csrf-token"]').content;
document.addEventListener("htmx:configRequest", (event) => { event.detail.headers["X-CSRF-Token"] = token(); });
document.addEventListener("htmx:afterSwap", (event) => {
  const opener = event.detail.requestConfig?.elt?.closest?.("[data-opens]");
  if (opener) document.getElementById(opener.dataset.opens).showModal();
});

const trouble = document.getElementById("trouble");
const tell = (words) => { if (trouble) { trouble.textContent = words; trouble.hidden = !words; } };

class Listen {
  constructor(page) {
    this.page = page;
    this.live = document.getElementById("live");
    this.base = `/listen/${page.dataset.room}/records`;
    this.queue = [];      // taps not yet taken by the server, oldest first
    this.child = null;    // who was picked
    this.fresh = false;   // picked since the last record
    this.key = null;      // the last record's key
    this.typed = null;    // digits of a wrong answer being typed
    document.addEventListener("click", (event) => this.click(event));
    document.addEventListener("submit", (event) => this.submit(event));
    document.addEventListener("keydown", (event) => this.press(event));
    document.addEventListener("htmx:afterRequest", (event) => this.settle(event.detail));
    document.addEventListener("htmx:afterSettle", () => this.mark());
    window.addEventListener("online", () => this.pump());
    window.addEventListener("beforeunload", (event) => { if (this.queue.length) event.preventDefault(); });
    const chosen = document.querySelector(".child[aria-current]");
    if (chosen) this.pick(chosen.dataset.child);
  }

  click(event) {
    const child = event.target.closest("[data-child]");
    if (child) { event.preventDefault(); return this.pick(child.dataset.child); }
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

  pick(id) {
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
  record(code) {
    if (!this.child) return tell("Pick a child first, then the rung.");
    if (!this.fresh) return this.change(`${this.base}/${this.key}/changes`, { code });
    this.fresh = false;
    this.key = crypto.randomUUID();
    this.send(this.base, { child_id: this.child, problem_id: this.page.dataset.problem, code, client_key: this.key, happened_at: new Date().toISOString() });
  }

  change(path, values) { this.send(path, { ...values, client_key: crypto.randomUUID() }); }

  send(path, values) {
    this.queue.push({ path, values });
    this.pump();
  }

  pump() {
    if (this.busy || !this.queue.length) return;
    this.busy = true;
    const { path, values } = this.queue[0];
    htmx.ajax("POST", path, { target: "#live", swap: "innerHTML", values }).catch(() => {});
  }

  settle({ requestConfig, xhr, successful }) {
    if (!this.busy || requestConfig.path !== this.queue[0]?.path) return;
    this.busy = false;
    const refused = [404, 422].includes(xhr.status);
    if (successful || refused) {
      this.queue.shift();
      tell(refused ? xhr.responseText : "");
      if (this.queue.length) this.pump();
      return;
    }
    tell(`${this.queue.length === 1 ? "1 tap is" : `${this.queue.length} taps are`} waiting: ${xhr.status ? xhr.status === 401 ? "you are signed out; sign in in another tab" : "the server could not take it" : "no connection"}. Keep this page open; they are sent as soon as it works again.`);
    setTimeout(() => this.pump(), 3000);
  }

  press(event) {
    if (event.ctrlKey || event.metaKey || event.altKey || event.target.matches("input, textarea, select")) return;
    if (this.typed !== null && this.type(event)) return event.preventDefault();
    const act = this.keys(event);
    if (act) { event.preventDefault(); act(); }
  }

  keys({ key }) {
    const rungs = { 1: "count_all", 2: "count_on", 3: "part_whole", 4: "make_ten", 5: "known_fact", 0: "no_answer", g: "guess", "?": "unseen" };
    if (rungs[key]) return () => this.record(rungs[key]);
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
if (page) window.listen = new Listen(page);
