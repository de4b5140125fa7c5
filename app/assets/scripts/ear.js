// Training the ear: a clip is played at the speed of a child, paused and stepped; keys as in Listen.
import { codeOf, meant } from "./codes.js";

class Clip {
  constructor(page) {
    this.words = [...page.querySelectorAll(".ear-words li")];
    this.aloud = page.dataset.aloud === "true" && "speechSynthesis" in window;
    this.buttons = { play: document.getElementById("play"), step: document.getElementById("step") };
    Object.values(this.buttons).forEach((button) => (button.hidden = false));
    this.buttons.play.addEventListener("click", () => (this.timer ? this.pause() : this.play()));
    this.buttons.step.addEventListener("click", () => this.step());
    document.addEventListener("keydown", (event) => this.press(event));
    page.classList.add("is-played");
    if (page.querySelector(".ear-rungs")) this.play();
    else this.show(this.words.length);
  }

  show(many) {
    this.at = many;
    this.words.forEach((word, place) => {
      word.classList.toggle("is-said", place < many);
      word.classList.toggle("is-now", place === many - 1);
    });
    const over = many >= this.words.length;
    this.buttons.play.textContent = this.timer ? "Pause" : over ? "Play again" : "Play";
  }

  play() {
    if (this.at === undefined || this.at >= this.words.length) this.show(0);
    this.wait();
  }

  wait() {
    const pause = Number(this.words[this.at].dataset.pause) * 1000;
    this.timer = setTimeout(() => {
      this.timer = null;
      this.say();
      if (this.at < this.words.length) this.wait();
      this.show(this.at);
    }, pause);
    this.show(this.at);
  }

  say() {
    this.show(this.at + 1);
    const words = this.words[this.at - 1].querySelector(".ear-said").textContent;
    if (this.aloud) window.speechSynthesis.speak(new SpeechSynthesisUtterance(words));
  }

  pause() {
    clearTimeout(this.timer);
    this.timer = null;
    this.show(this.at);
  }

  step() {
    this.pause();
    if (this.at >= this.words.length) this.show(0);
    else this.say();
    this.show(this.at);
  }

  press(event) {
    if (!meant(event)) return;
    if (event.key === " ") {
      event.preventDefault();
      this.buttons.play.click();
      return;
    }
    const wanted = event.key === "n" ? "#next" : `.ear-rungs [value="${codeOf(event.key)}"]`;
    document.querySelector(wanted)?.click();
  }
}

const page = document.getElementById("ear");
if (page) new Clip(page);
