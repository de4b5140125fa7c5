// app/assets/scripts/codes.js
var codeOf = (key) => [...document.querySelectorAll("[name=code][data-key]")].find((button) => button.dataset.key === key)?.value;

// app/assets/scripts/check_in.js
var answers = document.getElementById("answers");
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
