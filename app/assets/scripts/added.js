// What can be added to the last record: its buttons show what is kept of it, and say what a tap would change.
export class Added {
  constructor() {
    this.place = document.getElementById("added");
  }

  buttons = (name) => [...this.place.querySelectorAll(`button[name=${name}]`)];

  // After every answer: of the record it was about, or of none.
  show() {
    const { key, used, help, right, answer, code } = document.querySelector("#just-now .now").dataset;
    if (this.key !== key) this.place.querySelector(".photos-kept")?.replaceChildren();
    this.key = key;
    this.place.hidden = !key;
    if (!key) return;
    const kept = { used: used.split(" "), help: [help], answer: [answer] };
    Object.entries(kept).forEach(([name, values]) =>
      this.buttons(name).forEach((each) => each.setAttribute("aria-pressed", values.includes(each.value))),
    );
    const typed = this.place.querySelector("input[name=answer]");
    if (typed) typed.value = answer;
    const answers = this.place.querySelector(".answers");
    answers.open = right === "false";
    answers.hidden = code === "no_answer";
  }

  // @return {object} what a tap on this button changes: pressed again it is taken back
  said(button) {
    const off = button.getAttribute("aria-pressed") === "true";
    if (button.name === "move") return { move: off ? "" : button.value };
    if (button.name !== "used") return { [button.name]: button.value };
    const pressed = this.buttons("used").filter((each) => (each === button) !== (each.ariaPressed === "true"));
    return { used: pressed.map((each) => each.value).join(",") };
  }
}
