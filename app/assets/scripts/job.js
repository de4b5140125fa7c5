// What was made beside the server opens as soon as the page says that it is ready.
document.addEventListener("htmx:afterSwap", () => {
  const ready = document.querySelector("#job [data-opens]");
  if (ready) window.location.assign(ready.href);
});
