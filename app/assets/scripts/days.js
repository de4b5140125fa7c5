// A slider of days says the day while it is moved; it runs from long ago at the left to today at the right.
document.addEventListener("input", ({ target }) => {
  if (!target.dataset?.day) return;
  const day = new Date(`${target.dataset.day}T12:00:00`);
  day.setDate(day.getDate() - Number(target.value));
  const written = document.documentElement.lang === "en-US" ? "en-US" : "en-GB";
  target.nextElementSibling.textContent = day.toLocaleDateString(written, { day: "numeric", month: "long" });
});
