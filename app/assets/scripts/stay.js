// A form that is sent in place: where the connection is gone, the page stays as it is and says so. A name that was picked
// meanwhile stays picked.
import { tell } from "./trouble.js";

const AWAY = "The board could not be reached. Nothing is lost; press again when the connection is back.";

const send = async (form, submitter) => {
  const body = new URLSearchParams(new FormData(form));
  if (submitter?.name) body.set(submitter.name, submitter.value);
  try {
    const answer = await fetch(form.action, { method: "POST", body });
    if (window.listen?.fresh) sessionStorage.setItem("rungs-picked", window.listen.child);
    location.assign(answer.url);
  } catch {
    tell(AWAY);
  }
};

document.addEventListener("submit", (event) => {
  if (!("stay" in event.target.dataset)) return;
  event.preventDefault();
  send(event.target, event.submitter);
});
