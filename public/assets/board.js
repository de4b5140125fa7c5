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

const acts = {
  cover() {
    const shown = middle.dataset.show !== "shown";
    middle.dataset.show = shown ? "shown" : "covered";
    press("cover", shown);
    strip.querySelector('[data-do="cover"] span').textContent = shown ? "Cover the picture" : "Show the picture";
  },
  picture(button) {
    document.querySelectorAll(".board-picture").forEach((each) => { each.hidden = each.dataset.picture !== button.dataset.name; });
    strip.querySelectorAll('[data-do="picture"]').forEach((each) => each.setAttribute("aria-pressed", each === button));
    if (middle.dataset.show !== "shown") acts.cover();
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
  const button = key && strip?.querySelector(`[data-do="${key}"]`);
  if (!button) return;
  event.preventDefault();
  button.click();
});
