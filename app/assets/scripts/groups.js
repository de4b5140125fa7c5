// Catching how a child saw it: taps gather dots into groups, each group gets its band, and the expression writes itself.

const picture = document.getElementById("tap-picture");
if (picture) {
  const dots = [...picture.querySelectorAll("[data-order]")];
  const field = document.getElementById("groups");
  const expression = document.getElementById("expression");
  const svg = picture.querySelector("svg");
  const tints = picture.dataset.tints.split(" ");
  let groups = [[]];

  // The band under one group, as the kept ways have it.
  const loop = (group, index) => {
    const band = document.createElementNS("http://www.w3.org/2000/svg", "polyline");
    const middles = group
      .map((order) => dots.find((dot) => dot.dataset.order === order))
      .filter(Boolean)
      .map((dot) => {
        const box = dot.getBBox();
        return `${box.x + box.width / 2},${box.y + box.height / 2}`;
      });
    if (!middles.length) return;
    const attributes = {
      points: (middles.length === 1 ? [...middles, ...middles] : middles).join(" "),
      fill: "none",
      stroke: tints[index % tints.length],
      "stroke-width": 46,
      "stroke-linecap": "round",
      "stroke-linejoin": "round",
      "data-loop": index,
    };
    Object.entries(attributes).forEach(([name, value]) => band.setAttribute(name, value));
    svg.insertBefore(band, dots[0]);
  };

  const draw = () => {
    const told = groups.filter((group) => group.length);
    svg.querySelectorAll("polyline[data-loop]").forEach((each) => each.remove());
    told.forEach(loop);
    expression.textContent = told.length
      ? `${told.map((group) => group.length).join(" + ")} = ${told.flat().length}`
      : "";
    field.value = told.map((group) => group.join(",")).join(";");
  };

  document.addEventListener("click", (event) => {
    const order = event.target.closest("#tap-picture [data-order]")?.dataset.order;
    if (order) {
      const there = groups.find((group) => group.includes(order));
      if (there) there.splice(there.indexOf(order), 1);
      else groups[groups.length - 1].push(order);
      draw();
    }
    if (event.target.id === "next-group" && groups[groups.length - 1].length) groups.push([]);
    if (event.target.id === "clear-groups") {
      groups = [[]];
      draw();
    }
  });

  // Typed as 3 + 2: the first three, then two. More than there are is sent as typed, so that it is refused and not cut.
  document.getElementById("sizes").addEventListener("input", (event) => {
    let next = 0;
    groups = (event.target.value.match(/\d+/g) ?? []).map((size) =>
      Array.from({ length: Math.min(Number(size), 20) }, () => String((next += 1))),
    );
    if (!groups.length) groups = [[]];
    draw();
  });
  picture.dataset.ready = "";
}
