// A figure shows the records behind it in a dialog.
import { load } from "./swap.js";

async function show(path) {
  await load(path, "#why-text");
  document.getElementById("why-text").closest("dialog").showModal();
}

// A cell opens its reasons: one listener for all of them.
document.addEventListener("click", ({ target }) => {
  const cell = target.closest("[data-reason]");
  if (cell) show(cell.dataset.reason);
});
document.addEventListener("click", (event) => {
  const link = event.target.closest("[data-behind] a");
  if (!link || event.ctrlKey || event.metaKey || event.shiftKey) return;
  event.preventDefault();
  show(link.getAttribute("href"));
});
