// Keys of every page: ? shows what they do, / searches. A page's own keys come first.
const typing = (target) => target.closest?.("input, textarea, select, [contenteditable]");
const sheet = () => document.getElementById("keys");

document.addEventListener("click", (event) => {
  if (event.target.closest("[data-keys]")) sheet()?.showModal();
  const says = event.target.closest("[data-says]");
  if (says) says.setAttribute("aria-expanded", says.parentElement.classList.toggle("says-open"));
});
document.addEventListener("keydown", (event) => {
  if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
  if (event.key === "?") sheet()?.showModal();
  else if (event.key === "/") search();
  else return;
  event.preventDefault();
});

function search() {
  const field = document.getElementById("search");
  if (!field) return;
  field.closest("details").open = true;
  field.focus();
}
