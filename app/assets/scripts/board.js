// The board: its keys and buttons ask the server, and every window that shows it follows by server-sent events. Space shows
// and covers, arrows go on and back, 1–5 draw that rung's way, Esc leaves. Nothing moves unless asked.

import { follow } from "./follow.js";
import { post } from "./post.js";

const screen = document.getElementById("screen");
const board = document.body.dataset.follow;
const strip = () => document.getElementById("strip");
let hiding;
let awake = false;

const wake = () => {
  awake = true;
  strip()?.classList.add("is-up");
  clearTimeout(hiding);
  hiding = setTimeout(() => {
    awake = false;
    strip()?.classList.remove("is-up");
  }, 3500);
};

// A quick look is there for its time, to the frame, and then covered.
const flash = () => {
  const picture = screen?.querySelector("[data-flash]");
  if (!picture) return;
  requestAnimationFrame(() => {
    const shown = performance.now();
    setTimeout(() => {
      picture.hidden = true;
      const cover = picture.parentElement.querySelector(".board-cover");
      if (cover) cover.hidden = false;
      document.body.dataset.lastFlash = Math.round(performance.now() - shown);
    }, Number(picture.dataset.flash));
  });
};

// What falls is seen to fall once, however often the board is drawn meanwhile; a window opened later shows it lying.
const falls = () => screen?.querySelector("[data-falls]");
let fallen = falls()?.dataset.falls;
const fall = () => {
  const picture = falls();
  if (!picture || picture.dataset.falls === fallen) return;
  fallen = picture.dataset.falls;
  picture.classList.add("is-falling");
  document.body.dataset.fallen = fallen;
};

const put = (html) => {
  const focused = document.activeElement?.dataset;
  screen.innerHTML = html;
  flash();
  fall();
  if (awake) strip()?.classList.add("is-up");
  if (focused?.touch) screen.querySelector(`[data-touch="${focused.touch}"]`)?.focus({ preventScroll: true });
  if (focused?.do)
    strip()
      ?.querySelector(`[data-do="${focused.do}"]${focused.value ? `[data-value="${focused.value}"]` : ""}`)
      ?.focus({ preventScroll: true });
};

const version = () => Number(screen.querySelector("[data-version]")?.dataset.version ?? -1);

// Only the newest is drawn: a slower answer that comes late is left.
const draw = (html, at) => {
  if (at >= version()) put(html);
};
const newer = (html) => Number(html.match(/data-version="(\d+)"/)?.[1] ?? 0);

const ask = async (button) => {
  if (!button) return;
  const body = new URLSearchParams({ do: button.dataset.do, value: button.dataset.value ?? "" });
  try {
    const answer = await post(`${board}/commands`, body);
    if (answer.ok) {
      const html = await answer.text();
      draw(html, newer(html));
    }
  } catch {
    wake();
  }
};

const catchUp = async (at) => {
  if (at <= version()) return true;
  const answer = await fetch(`${board}/screen`).catch(() => null);
  if (answer?.status === 404) {
    location.reload();
    return false;
  }
  if (answer?.ok) {
    const html = await answer.text();
    draw(html, newer(html));
  }
  return true;
};
const tooMany = () => {
  document.getElementById("full").hidden = false;
};
if (board) follow(board, catchUp, tooMany);
flash();

const full = () => {
  if (document.fullscreenElement) document.exitFullscreen();
  else document.documentElement.requestFullscreen();
};

// Ink and paper change places for a dark room; this device remembers.
const darken = (dark) => document.body.classList.toggle("board-dark", dark);
darken(localStorage.getItem("rungs-dark") === "on");
const dark = () => {
  const on = !document.body.classList.contains("board-dark");
  localStorage.setItem("rungs-dark", on ? "on" : "off");
  darken(on);
};

// A place of the picture that is worked with by hand.
const touch = (target) => {
  const place = target.closest?.("[data-touch]");
  if (place) ask({ dataset: { do: "touch", value: place.dataset.touch } });
  return place;
};

// Keys pressed fast are taken one after the other, each where the one before led.
let turn = Promise.resolve();
const keyed = (key) => [...(strip()?.querySelectorAll("[data-key]") ?? [])].find((each) => each.dataset.key === key);

document.addEventListener("click", (event) => {
  if (touch(event.target)) return;
  const button = event.target.closest("button");
  if (button?.dataset.do) ask(button);
  else if (button && "full" in button.dataset) full();
  else if (button && "dark" in button.dataset) dark();
});
document.addEventListener("pointermove", wake);
document.addEventListener("keydown", (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  wake();
  if (event.key === "Enter" && touch(event.target)) return;
  if (event.key === "Escape" && !document.fullscreenElement && document.body.dataset.leave) {
    location.href = document.body.dataset.leave;
    return;
  }
  if (!keyed(event.key)) return;
  event.preventDefault();
  if (keyed(event.key).dataset.do) turn = turn.then(() => ask(keyed(event.key)));
  else keyed(event.key).click();
});
