// The quiet clock of the part going on, for the teacher.
const clock = document.querySelector("[data-clock]");
if (clock) {
  const begun = Date.now() - Number(clock.dataset.clock) * 1000;
  setInterval(() => {
    const passed = Math.floor((Date.now() - begun) / 1000);
    clock.textContent = `${Math.floor(passed / 60)}:${String(passed % 60).padStart(2, "0")}`;
  }, 1000);
}
