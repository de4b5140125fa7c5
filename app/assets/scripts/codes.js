// Rungs, and answers off the ladder, by their keys, as the page offers them.
export const codeOf = (key) =>
  [...document.querySelectorAll("[name=code][data-key]")].find((button) => button.dataset.key === key)?.value;

// "count on", as the page names it.
export const titleOf = (code) => {
  const button = document.querySelector(`[name=code][value="${code}"]`);
  return (button?.querySelector(".bar-title") ?? button)?.lastChild.textContent.trim().toLowerCase() ?? code;
};

// Whether a key press is meant for the page: no shortcut of the browser, and nothing being typed.
export const meant = (event) =>
  !(event.ctrlKey || event.metaKey || event.altKey) &&
  !event.target.matches("input:not([type=checkbox]), textarea, select");
