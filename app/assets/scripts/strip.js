// What stands at the foot of a tablet or phone: the strip of names, and right above it what belongs to the last tap. The
// page ends above both, and nothing that is reached with the keyboard stays beneath them.
const foot = window.matchMedia("(width <= 960px) and (height > 560px)");
const strip = document.querySelector(".margin");
const dock = document.querySelector(".dock");
const page = document.querySelector("main.sheet");

// @param {number} names, added heights in px
function make(names, added) {
  const free = (high) => (high ? `${Math.ceil(high)}px` : "");
  document.documentElement.style.scrollPaddingBottom = free(names + added);
  if (!dock) return;
  dock.style.bottom = free(names);
  page.style.paddingBottom = free(added && added + 24);
}

const high = new Map();
const watch = new ResizeObserver((entries) => {
  entries.forEach(({ target, borderBoxSize }) => high.set(target, borderBoxSize[0].blockSize));
  make(high.get(strip) ?? 0, high.get(dock) ?? 0);
});

function attend() {
  watch.disconnect();
  if (foot.matches) [strip, dock].forEach((each) => each && watch.observe(each));
  else make(0, 0);
}

foot.addEventListener("change", attend);
attend();
