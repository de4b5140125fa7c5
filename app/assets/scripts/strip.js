// How high the strip of names and what belongs to the last tap stand at the foot of a tablet or phone: nothing that is
// reached with the keyboard stays beneath them.
const measured = { "--strip": ".margin", "--dock": ".dock" };
const foot = window.matchMedia("(width <= 960px) and (height > 560px)");

function measure() {
  Object.entries(measured).forEach(([name, selector]) => {
    const height = foot.matches ? (document.querySelector(selector)?.offsetHeight ?? 0) : 0;
    document.documentElement.style.setProperty(name, `${height}px`);
  });
}

const watch = new ResizeObserver(measure);
Object.values(measured).forEach((selector) =>
  document.querySelectorAll(selector).forEach((each) => watch.observe(each)),
);
foot.addEventListener("change", measure);
measure();
