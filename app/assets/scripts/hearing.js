// The numbers a child says, tapped or typed; each asks anew which move they may be.
import { load } from "./swap.js";

export class Hearing {
  // @param {HTMLElement} page the Listen page
  // @param {function} extra more to ask with: the seconds
  constructor(page, extra) {
    this.page = page;
    this.extra = extra;
    this.numbers = [];
    this.field = document.getElementById("typed-heard");
    this.field.addEventListener("input", () => this.type());
  }

  tap(number) {
    if (number === "back") this.numbers.pop();
    else this.numbers.push(number);
    this.propose();
  }

  type() {
    clearTimeout(this.typing);
    this.typing = setTimeout(() => {
      this.numbers = this.field.value.match(/\d{1,3}/g)?.slice(0, 60) ?? [];
      this.propose();
    }, 350);
  }

  said() {
    return this.numbers.join(" ");
  }

  // What is proposed can be taken only while it is for the numbers that stand there.
  async propose() {
    const candidates = document.getElementById("candidates");
    const said = this.said();
    document.getElementById("heard").textContent = said && `: ${said}`;
    candidates.inert = true;
    const { room, problem } = this.page.dataset;
    const fits = () => this.said() === said;
    const asked =
      said && load(`/listen/${room}/hearing`, "#candidates", { problem, heard: said, ...this.extra() }, fits);
    const shown = await Promise.resolve(asked).catch(() => "");
    if (!fits()) return;
    if (!shown) candidates.textContent = "";
    candidates.inert = false;
  }

  forget() {
    this.field.value = "";
    if (!this.numbers.length) return;
    this.numbers = [];
    this.propose();
  }
}
