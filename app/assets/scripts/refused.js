// The list of taps that could not be kept: which, why, and what to do with each.
import { Waiting } from "./waiting.js";

const waiting = new Waiting();
const place = document.getElementById("refused");

const make = (name, properties, ...inside) => {
  const made = Object.assign(document.createElement(name), properties);
  made.append(...inside);
  return made;
};

const again = async (taps) => {
  for (const tap of taps) await waiting.retry(tap);
  await showRefused();
  document.dispatchEvent(new Event("rungs:again"));
};

const letGo = async (taps) => {
  for (const tap of taps) await waiting.remove(tap.id);
  await showRefused();
};

const button = (text, act) => make("button", { type: "button", className: "link", textContent: text, onclick: act });

const line = (tap, behind) => {
  const what = make("strong", { textContent: tap.what ?? "a tap" });
  const more = behind.length ? ` (and ${behind.length} more of it)` : "";
  const why = make("span", { className: "soft", textContent: `${more}: ${tap.refused.replace(/\.$/, "")}. ` });
  const those = [tap, ...behind];
  return make(
    "li",
    {},
    what,
    why,
    button("Send again", () => again(those)),
    " ",
    button("Let go", () => letGo(those)),
  );
};

// What changes a record stands with it.
const grouped = (taps) => {
  const of = (tap) => taps.find((each) => tap.path.includes(`/records/${each.values.client_key}/`));
  return taps.filter((tap) => !of(tap)).map((tap) => [tap, taps.filter((each) => of(each) === tap)]);
};

const draw = async () => {
  if (!place) return;
  const taps = await waiting.refused();
  place.hidden = taps.length === 0;
  const many = taps.length === 1 ? "1 tap could not be kept" : `${taps.length} taps could not be kept`;
  const lines = grouped(taps).map(([tap, behind]) => line(tap, behind));
  place.replaceChildren(make("p", { textContent: `${many}:` }), make("ul", {}, ...lines));
};

// One after the other, so that the last to be drawn is how it stands.
let drawn = Promise.resolve();
export const showRefused = () => {
  drawn = drawn.then(draw);
  return drawn;
};
