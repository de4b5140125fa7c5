// app/assets/scripts/dialogs.js
document.addEventListener("htmx:afterSwap", ({ target }) => {
  const dialog = target.closest?.("dialog");
  if (dialog && !dialog.open) dialog.showModal();
});
document.addEventListener("click", (event) => {
  const link = event.target.closest("[data-behind] a");
  if (!link || event.ctrlKey || event.metaKey || event.shiftKey) return;
  event.preventDefault();
  window.htmx.ajax("GET", link.getAttribute("href"), "#why-text");
});

// app/assets/scripts/clock.js
var clock = document.querySelector("[data-clock]");
if (clock) {
  const begun = Date.now() - Number(clock.dataset.clock) * 1e3;
  setInterval(() => {
    const passed = Math.floor((Date.now() - begun) / 1e3);
    clock.textContent = `${Math.floor(passed / 60)}:${String(passed % 60).padStart(2, "0")}`;
  }, 1e3);
}

// app/assets/scripts/days.js
document.addEventListener("input", ({ target }) => {
  if (!target.dataset?.day) return;
  const day = /* @__PURE__ */ new Date(`${target.dataset.day}T12:00:00`);
  day.setDate(day.getDate() - Number(target.value));
  target.nextElementSibling.value = day.toLocaleDateString("en-GB", { day: "numeric", month: "long" });
});

// app/assets/scripts/drag.js
var held = null;
var dragging = null;
var formOf = (element) => element.closest("[data-drag-form]");
var placeAt = (x, y) => document.elementFromPoint(x, y)?.closest("[data-drop]");
var hold = (item) => {
  held?.setAttribute("aria-pressed", "false");
  held = item;
  held?.setAttribute("aria-pressed", "true");
};
var move = (item, place) => {
  const form = formOf(item);
  hold(null);
  if (item === place) return;
  form.querySelector("[name=item]").value = item.dataset.drag;
  form.querySelector("[name=place]").value = place.dataset.drop;
  form.requestSubmit();
};
document.addEventListener("click", (event) => {
  const item = event.target.closest("[data-drag]");
  const place = event.target.closest("[data-drop]");
  if (held && place && formOf(place) === formOf(held)) {
    move(held, place);
    return;
  }
  if (item && formOf(item)) hold(held === item ? null : item);
});
document.addEventListener("pointerdown", (event) => {
  const item = event.target.closest("[data-drag]");
  if (!item || !formOf(item)) return;
  dragging = { item, x: event.clientX, y: event.clientY, ghost: null };
});
document.addEventListener("pointermove", (event) => {
  if (!dragging) return;
  const far = Math.hypot(event.clientX - dragging.x, event.clientY - dragging.y) > 8;
  if (!dragging.ghost && far) {
    dragging.ghost = dragging.item.cloneNode(true);
    dragging.ghost.removeAttribute("id");
    dragging.ghost.classList.add("ghost");
    document.body.append(dragging.ghost);
  }
  if (dragging.ghost) dragging.ghost.style.transform = `translate(${event.clientX + 6}px, ${event.clientY + 6}px)`;
});
document.addEventListener("pointerup", (event) => {
  const done = dragging;
  dragging = null;
  if (!done?.ghost) return;
  done.ghost.remove();
  const place = placeAt(event.clientX, event.clientY);
  const swallow = (click) => click.stopImmediatePropagation();
  document.addEventListener("click", swallow, { capture: true, once: true });
  setTimeout(() => document.removeEventListener("click", swallow, { capture: true }), 0);
  if (place && formOf(place) === formOf(done.item)) move(done.item, place);
});
document.addEventListener("pointercancel", () => {
  dragging?.ghost?.remove();
  dragging = null;
});
document.addEventListener("keydown", (event) => {
  if (event.key === "Escape") hold(null);
});

// app/assets/scripts/token.js
var token = () => document.querySelector('meta[name="csrf-token"]').content;

// app/assets/scripts/pages.js
document.addEventListener("htmx:configRequest", (event) => {
  event.detail.headers["X-CSRF-Token"] = token();
});
