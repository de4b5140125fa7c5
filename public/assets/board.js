// app/assets/scripts/follow.js
var SILENT = 12e3;
var follow = (path, told, full2 = () => {
}) => {
  const events = new EventSource(`${path}/events`);
  let watch;
  const again = () => {
    clearTimeout(watch);
    events.close();
    setTimeout(() => follow(path, told, full2), 1e3);
  };
  const expect = () => {
    clearTimeout(watch);
    watch = setTimeout(again, SILENT);
  };
  expect();
  events.addEventListener("full", () => {
    clearTimeout(watch);
    events.close();
    full2();
  });
  events.onmessage = async ({ data }) => {
    expect();
    if (await told(Number(data)) !== false) return;
    clearTimeout(watch);
    events.close();
  };
  events.onerror = () => {
    if (events.readyState === EventSource.CLOSED) again();
  };
};

// app/assets/scripts/token.js
var token = () => document.querySelector('meta[name="csrf-token"]').content;

// app/assets/scripts/board.js
var screen = document.getElementById("screen");
var board = document.body.dataset.follow;
var strip = () => document.getElementById("strip");
var hiding;
var awake = false;
var wake = () => {
  awake = true;
  strip()?.classList.add("is-up");
  clearTimeout(hiding);
  hiding = setTimeout(() => {
    awake = false;
    strip()?.classList.remove("is-up");
  }, 3500);
};
var flash = () => {
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
var falls = () => screen?.querySelector("[data-falls]");
var fallen = falls()?.dataset.falls;
var fall = () => {
  const picture = falls();
  if (!picture || picture.dataset.falls === fallen) return;
  fallen = picture.dataset.falls;
  picture.classList.add("is-falling");
  document.body.dataset.fallen = fallen;
};
var put = (html) => {
  const focused = document.activeElement?.dataset;
  screen.innerHTML = html;
  document.body.dataset.drawnAt = Date.now();
  flash();
  fall();
  if (awake) strip()?.classList.add("is-up");
  if (focused?.touch) screen.querySelector(`[data-touch="${focused.touch}"]`)?.focus({ preventScroll: true });
  if (focused?.do)
    strip()?.querySelector(`[data-do="${focused.do}"]${focused.value ? `[data-value="${focused.value}"]` : ""}`)?.focus({ preventScroll: true });
};
var version = () => Number(screen.querySelector("[data-version]")?.dataset.version ?? -1);
var draw = (html, at) => {
  if (at >= version()) put(html);
};
var newer = (html) => Number(html.match(/data-version="(\d+)"/)?.[1] ?? 0);
var ask = async (button) => {
  if (!button) return;
  const body = new URLSearchParams({ do: button.dataset.do, value: button.dataset.value ?? "" });
  try {
    const answer = await fetch(`${board}/commands`, { method: "POST", body, headers: { "X-CSRF-Token": token() } });
    if (answer.ok) {
      const html = await answer.text();
      draw(html, newer(html));
    }
  } catch {
    wake();
  }
};
var catchUp = async (at) => {
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
var tooMany = () => {
  document.getElementById("full").hidden = false;
};
if (board) follow(board, catchUp, tooMany);
flash();
var full = () => {
  if (document.fullscreenElement) document.exitFullscreen();
  else document.documentElement.requestFullscreen();
};
var touch = (target) => {
  const place = target.closest?.("[data-touch]");
  if (place) ask({ dataset: { do: "touch", value: place.dataset.touch } });
  return place;
};
var turn = Promise.resolve();
var keyed = (key) => [...strip()?.querySelectorAll("[data-key]") ?? []].find((each) => each.dataset.key === key);
document.addEventListener("click", (event) => {
  if (touch(event.target)) return;
  const button = event.target.closest("button");
  if (button?.dataset.do) ask(button);
  else if (button && "full" in button.dataset) full();
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
