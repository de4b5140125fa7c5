// Two listen in one class: whom one has open, the other sees on the name; it goes when somebody else is opened, or after a while.
import { post } from "./post.js";

const FOR = 90000;

export class Others {
  constructor(page) {
    this.path = "together" in page.dataset ? `/listen/${page.dataset.room}/open` : null;
    this.open = new Map();
    document.addEventListener("rungs:opened", ({ detail }) => this.show(detail));
  }

  // Said in passing: where it does not arrive, nothing is lost.
  tell(child) {
    if (this.path) post(this.path, new URLSearchParams({ child })).catch(() => {});
  }

  show({ open, by, who }) {
    if (who === document.body.dataset.who) return;
    clearTimeout(this.open.get(who));
    document.querySelectorAll(`[data-open-with="${who}"]`).forEach((mark) => mark.remove());
    const name = document.querySelector(`.child[data-child="${open}"] .name`);
    if (!name) return;
    const mark = Object.assign(document.createElement("span"), {
      className: "open-with",
      textContent: ` open with ${by}`,
    });
    mark.dataset.openWith = who;
    name.after(mark);
    this.open.set(
      who,
      setTimeout(() => mark.remove(), FOR),
    );
  }
}
