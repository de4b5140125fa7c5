// The board: space shows and covers, arrows go on and back, Esc leaves. Nothing moves unless asked.
"use strict";

const strip = document.getElementById("strip");
const middle = document.querySelector(".board-middle");
const leave = document.body.dataset.leave;
let hiding;

const wake = () => {
  if (!strip) return;
  strip.classList.add("is-up");
  clearTimeout(hiding);
  hiding = setTimeout(() => strip.classList.remove("is-up"), 3500);
};

const press = (name, on) => strip.querySelectorAll(`[data-do="${name}"]`).forEach((each) => each.setAttribute("aria-pressed", on));

// One picture at a time, and its button pressed.
const show = (wanted, button) => {
  document.querySelectorAll(".board-picture").forEach((each) => { each.hidden = !wanted(each); });
  strip.querySelectorAll('[data-do="picture"], [data-do="way"]').forEach((each) => each.setAttribute("aria-pressed", each === button));
  if (middle.dataset.show !== "shown") acts.cover();
};

const acts = {
  cover() {
    const shown = middle.dataset.show !== "shown";
    middle.dataset.show = shown ? "shown" : "covered";
    press("cover", shown);
    strip.querySelector('[data-do="cover"] span').textContent = shown ? "Cover the picture" : "Show the picture";
  },
  picture(button) {
    show((each) => each.dataset.picture === button.dataset.name, button);
    document.querySelectorAll("[data-lines]").forEach((each) => { each.hidden = true; });
  },
  // A rung's way, step by step: the same key again draws the next step, and after the last writes its equations.
  way(button) {
    const level = button.dataset.level;
    const panel = document.querySelector(`[data-way="${level}"]`);
    const lines = document.querySelector(`[data-lines="${level}"]`);
    const steps = [...panel.children];
    const at = panel.hidden ? -1 : steps.findIndex((each) => !each.hidden);
    const next = Math.min(at + 1, steps.length - 1);
    show((each) => each === panel, button);
    steps.forEach((each, index) => { each.hidden = index !== next; });
    document.getElementById("sentence").hidden = true;
    press("sentence", false);
    document.querySelectorAll("[data-lines]").forEach((each) => { each.hidden = each !== lines || next < steps.length - 1; });
  },
  strike() {
    const struck = strip.querySelector('[data-do="strike"]').getAttribute("aria-pressed") !== "true";
    document.querySelectorAll("[data-state]").forEach((each) => { each.hidden = (each.dataset.state === "1") !== struck; });
    press("strike", struck);
    if (middle.dataset.show !== "shown") acts.cover();
  },
  sentence() {
    const sentence = document.getElementById("sentence");
    sentence.hidden = !sentence.hidden;
    document.querySelectorAll("[data-lines]").forEach((each) => { each.hidden = true; });
    press("sentence", !sentence.hidden);
  },
  full() { if (document.fullscreenElement) document.exitFullscreen(); else document.documentElement.requestFullscreen(); },
};

document.addEventListener("click", (event) => {
  const button = event.target.closest("[data-do]");
  if (button) acts[button.dataset.do](button);
});
document.addEventListener("pointermove", wake);
document.addEventListener("keydown", (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  wake();
  if (event.key === "Escape") { if (!document.fullscreenElement) location.href = leave; return; }
  const link = strip?.querySelector(`[data-key="${event.key}"]`);
  if (link) { location.href = link.href; return; }
  const key = { " ": "cover", s: "sentence", c: "strike", f: "full" }[event.key];
  const button = /^[1-5]$/.test(event.key) ? strip?.querySelector(`[data-level="${event.key}"]`) : key && strip?.querySelector(`[data-do="${key}"]`);
  if (!button) return;
  event.preventDefault();
  button.click();
});
