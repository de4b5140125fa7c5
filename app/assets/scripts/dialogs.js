// What is put into a dialog opens it; a figure shows the records behind it there.
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
