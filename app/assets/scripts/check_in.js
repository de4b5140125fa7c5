// A check-in by keys: a rung by its number; x, digits and Enter for a wrong answer, then the rung.
import { codeOf } from "./codes.js";

const answers = document.getElementById("answers");
if (answers) {
  const said = answers.answer;
  document.addEventListener("keydown", (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.target === said) {
      if (event.key === "Enter") said.blur();
      return;
    }
    if (event.key === "x") {
      event.preventDefault();
      said.focus();
      return;
    }
    const code = codeOf(event.key);
    if (code) answers.querySelector(`[name=code][value=${code}]`).click();
  });
}
