// Puts what the server answered in its place, on pages that are pressed all day and do without htmx: parts that say where
// they belong (data-place) go there, the rest into the target.
// @param {string} target a selector
// @param {string} html
export function swap(target, html) {
  const answer = document.createElement("template");
  answer.innerHTML = html;
  // Rows stand in a template of their own.
  answer.content.querySelectorAll("template").forEach((each) => each.replaceWith(each.content));
  answer.content.querySelectorAll("[data-place]").forEach((part) => {
    part.remove();
    place(part);
  });
  document.querySelector(target)?.replaceChildren(answer.content);
}

// data-place: "itself", in the place of the element with its id; "within:…" or "before:…", what it holds instead of, or
// before what another element holds.
function place(part) {
  const [how, selector] = part.dataset.place.split(":");
  const there = selector ? document.querySelector(selector) : document.getElementById(part.id);
  delete part.dataset.place;
  if (how === "itself") there?.replaceWith(part);
  else if (how === "within") there?.replaceChildren(...part.childNodes);
  else there?.prepend(...part.childNodes);
}

// Asks for a piece of the page and puts it there.
// @param {object} values sent with it
// @param {function} fits whether it is still wanted when it comes
// @returns {boolean} whether it was
// @throws where there is no answer
export async function load(path, target, values = {}, fits = () => true) {
  const query = new URLSearchParams(values).toString();
  const answer = await fetch(query ? `${path}?${query}` : path, { headers: { "HX-Request": "true" } });
  if (!answer.ok) throw new Error(answer.status);
  const html = await answer.text();
  if (fits()) swap(target, html);
  return fits();
}
