// Conducting on the tablet: forms are sent in place, the page follows the board, the picture is worked with by hand. The
// steps of the whole lesson are kept here: without a connection they go on, and the board follows when it is back.
import { follow } from "./follow.js";
import { keepPage } from "./offline.js";
import { post } from "./post.js";
import { Sender } from "./sender.js";
import { nowText } from "./server_clock.js";
import { load } from "./swap.js";
import { tell } from "./trouble.js";

const AWAY = "No connection. The steps go on here; the board follows when it is back, and what you tap is kept.";
const BOARD_AWAY = "The board could not be reached. Nothing is lost; press again when the connection is back.";
const RETRY = 3000;
const LIVE = ["now", "offered"];

class Conduct {
  constructor(page) {
    this.page = page;
    this.here = page.dataset.conducting;
    this.version = Number(page.dataset.version);
    this.parts = page.dataset.parts.split(" ");
    this.made = this.item(); // what the page was made for
    this.pending = null; // where the board goes when the connection is back
    this.keptAt = `${this.here}/kept?v=${page.dataset.kept}`;
    this.kept = this.keep();
    this.sender = window.listen?.sender ?? this.own();
    this.sender.showing((tap, html) => this.offered(tap, html));
    document.addEventListener("submit", (event) => this.submit(event));
    document.addEventListener("click", (event) => this.touch(event));
    document.addEventListener("click", (event) => this.pick(event));
    document.addEventListener("toggle", (event) => this.open(event.target), true);
    document.addEventListener("keydown", (event) => event.key === "Enter" && this.touch(event));
    window.addEventListener("online", () => this.catchUp());
    follow(page.dataset.follow, (version) => this.told(version));
    keepPage(this.keptAt);
  }

  // Where nothing is listened to, ways are sent all the same.
  own() {
    return new Sender(this.page.dataset.room, undefined, { show: () => {}, mark: () => {} });
  }

  now = () => document.getElementById("now").dataset;
  item = () => `${this.now().part}.${this.now().item}`;

  // All steps of the lesson; without a connection as this device kept them. They are read where they are asked for.
  async keep() {
    try {
      return await (await fetch(this.keptAt)).text();
    } catch {
      return ""; // Without them the page stays as it is.
    }
  }

  async held() {
    if (!this.steps) {
      this.steps = document.createElement("div");
      this.steps.innerHTML = await this.kept;
    }
    return this.steps;
  }

  submit(event) {
    const form = event.target;
    if ("way" in form.dataset) this.way(event);
    else if ("stay" in form.dataset) {
      event.preventDefault();
      const body = new URLSearchParams(new FormData(form));
      if (event.submitter?.name) body.set(event.submitter.name, event.submitter.value);
      this.send(form.action, body);
    } else if (form.classList.contains("conduct") && !navigator.onLine) {
      event.preventDefault();
      this.goOn(event.submitter.value);
    }
  }

  touch(event) {
    const place = event.target.closest?.("[data-touches] [data-touch]");
    if (!place) return;
    event.preventDefault();
    const body = new URLSearchParams(new FormData(place.closest("form")));
    body.set("do", "touch");
    body.set("value", place.dataset.touch);
    this.send(`${this.here}/do`, body, place.dataset.touch);
  }

  // What is asked for when it is opened, as it is then.
  open(group) {
    const path = group.open && group.dataset.load;
    if (path) load(path, `#${group.querySelector("div").id}`).catch(() => tell(BOARD_AWAY));
  }

  // Where nothing is listened to, a name in the list is who gives the next way.
  pick(event) {
    const name = !window.listen && event.target.closest?.("[data-child]");
    if (!name) return;
    event.preventDefault();
    document.querySelectorAll("[data-by]").forEach((field) => (field.value = name.dataset.child));
    document.querySelector("[data-child][aria-current]")?.removeAttribute("aria-current");
    name.setAttribute("aria-current", "true");
  }

  async send(path, body, touched) {
    try {
      const answer = await post(path, body);
      const html = await answer.text();
      if (answer.ok) this.put(html, touched);
      else tell(html);
    } catch {
      this.without(body);
    }
  }

  // The next or the last part of the lesson, at its first step.
  goOn(to) {
    const at = this.parts.indexOf(this.now().part) + { on: 1, skip: 1, back: -1 }[to];
    if (this.parts[at]) this.without(new URLSearchParams({ do: "step", part: this.parts[at], value: "0.0" }));
    else tell(BOARD_AWAY);
  }

  // A step that is kept here is shown; the board goes there when it can.
  async without(body) {
    const part = body.get("part") ?? this.now().part;
    const at = `${part}.${body.get("value")}`;
    const step = body.get("do") === "step" && (await this.held()).querySelector(`[data-at="${at}"]`);
    if (!step) {
      tell(BOARD_AWAY);
      return;
    }
    document.getElementById("now").replaceWith(step.content.cloneNode(true));
    body.set("part", part);
    this.pending = body;
    await this.another();
    tell(AWAY);
    clearTimeout(this.retry);
    this.retry = setTimeout(() => this.catchUp(), RETRY);
  }

  // Another item than the page was made for: what is tapped is of that one.
  async another() {
    const { part, item, title, equation } = this.now();
    if (this.page.dataset.part === part && this.page.dataset.item === item) return;
    Object.assign(this.page.dataset, { part, item, equation, problem: "", posedAt: nowText() });
    const bars = (await this.held()).querySelector(`[data-bars="${part}.${item}"]`);
    const shown = document.querySelector(".conducting-heard .bars");
    if (shown && bars) shown.replaceWith(bars.content.cloneNode(true));
    const named = document.querySelector(".conduct-part strong");
    if (named) named.textContent = title;
    document.querySelectorAll("[data-way]").forEach((form) => {
      form.elements.part_id.value = part;
      form.elements.item.value = item;
    });
  }

  async catchUp() {
    if (!this.pending) return;
    const body = this.pending;
    this.pending = null;
    await this.send(`${this.here}/do`, body);
  }

  async told(version) {
    if (version <= this.version || this.pending) return;
    const answer = await fetch(`${this.here}/now`).catch(() => null);
    if (answer?.ok) this.put(await answer.text());
  }

  // The same item: only what changed is put in its place; another: the whole page, with the name that was picked.
  put(html, touched) {
    const fresh = new DOMParser().parseFromString(html, "text/html");
    const page = fresh.querySelector("[data-moved]");
    const there = `${page?.dataset.part}.${page?.dataset.item}`;
    if (there !== this.made || there !== `${this.page.dataset.part}.${this.page.dataset.item}`) {
      if (window.listen?.fresh) sessionStorage.setItem("rungs-picked", window.listen.child);
      location.assign(this.here);
      return;
    }
    this.version = Number(page.dataset.version);
    if (page.dataset.problem) this.page.dataset.problem = page.dataset.problem;
    tell("");
    if (document.getElementById("tap-picture")) LIVE.forEach((id) => this.around(fresh, id));
    else LIVE.forEach((id) => document.getElementById(id)?.replaceWith(fresh.getElementById(id)));
    if (touched) document.querySelector(`#now [data-touch="${touched}"]`)?.focus({ preventScroll: true });
  }

  // Groups that are being tapped stay as they are; all around them is new.
  around(fresh, id) {
    const there = document.getElementById(id);
    const next = fresh.getElementById(id);
    const tapping = there?.querySelector(".stage");
    if (tapping) next.querySelector(".stage").replaceWith(tapping);
    there?.replaceWith(next);
  }

  // A way waits like any tap.
  way(event) {
    event.preventDefault();
    const form = event.target;
    const values = Object.fromEntries(new FormData(form));
    if (event.submitter?.name) values[event.submitter.name] = event.submitter.value;
    delete values.authenticity_token;
    delete values.once;
    values.client_key = crypto.randomUUID();
    const path = form.getAttribute("action");
    this.sender.send(path, values, `a way given: ${values.written || "as it was tapped"}`);
    const key = (tap) => [tap.path, tap.values.part_id, tap.values.item].join(" ");
    const mine = key({ path, values });
    this.sender.mended((tap) => key(tap) === mine && tap.values.client_key !== values.client_key);
    if (!navigator.onLine) this.clear();
  }

  // What was typed or tapped goes once it was taken, or waits.
  clear() {
    document.querySelectorAll("[data-way] [name=written]").forEach((field) => (field.value = ""));
    document.getElementById("clear-groups")?.click();
  }

  offered({ path, values }, html) {
    if (!path.endsWith("/ways") || `${values.part_id}.${values.item}` !== this.item()) return;
    document.getElementById("offered").outerHTML = html;
    this.clear();
  }
}

const page = document.querySelector("[data-conducting]");
if (page) window.conducting = new Conduct(page);
