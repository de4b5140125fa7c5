// Moves a name to a place: dragged with a finger or a pointer, or pressed and then the place pressed (which also works with
// the keyboard). The form that holds both, or that the holder names, sends which item goes to which place.

let held = null; // the item picked up
let dragging = null; // its picture under the pointer

const formOf = (element) => element.closest("[data-drag-form]");
const placeAt = (x, y) => document.elementFromPoint(x, y)?.closest("[data-drop]");

const hold = (item) => {
  held?.setAttribute("aria-pressed", "false");
  held = item;
  held?.setAttribute("aria-pressed", "true");
};

const move = (item, place) => {
  const holder = formOf(item);
  const form = document.getElementById(holder.dataset.dragForm) ?? holder;
  hold(null);
  if (item.dataset.drag === place.dataset.drop) return;
  form.querySelector("[name=item]").value = item.dataset.drag;
  form.querySelector("[name=place]").value = place.dataset.drop;
  form.requestSubmit();
};

document.addEventListener("click", (event) => {
  const item = event.target.closest("[data-drag]");
  const place = event.target.closest("[data-drop]");
  if (held && item !== held && place && formOf(place) === formOf(held)) {
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
  // The click that follows a drag is not a press.
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
