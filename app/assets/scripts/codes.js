// Rungs, and answers off the ladder, by their keys, as the page offers them.
export const codeOf = (key) =>
  [...document.querySelectorAll("[name=code][data-key]")].find((button) => button.dataset.key === key)?.value;

// Whether a key press is meant for the page: no shortcut of the browser, and nothing being typed.
export const meant = (event) =>
  !(event.ctrlKey || event.metaKey || event.altKey) &&
  !event.target.matches("input:not([type=checkbox]), textarea, select");
