// One line for what went wrong; empty words take it away.
export const tell = (words) => {
  const trouble = document.getElementById("trouble");
  if (!trouble) return;
  trouble.textContent = words;
  trouble.hidden = !words;
};
