// A wrong answer typed after x: digits, then Enter or a pause; nothing typed is wrong without saying what.
import { tell } from "./trouble.js";

export class WrongAnswer {
  // @param {function} done takes the digits typed
  constructor(done) {
    this.done = done;
    this.digits = null;
  }

  get typing() {
    return this.digits !== null;
  }

  start() {
    this.digits = "";
    tell("Wrong answer: type the number, then Enter.");
  }

  // @return {boolean} whether the key belonged to it
  type(key) {
    clearTimeout(this.pause);
    if (/^\d$/.test(key) && this.digits.length < 3) {
      this.digits += key;
      tell(`Wrong answer: ${this.digits}`);
      this.pause = setTimeout(() => this.stop(), 1500);
      return true;
    }
    if (key === "Escape") {
      this.digits = null;
      tell("");
      return true;
    }
    this.stop();
    return key === "Enter";
  }

  stop() {
    const said = this.digits;
    this.digits = null;
    tell("");
    this.done(said);
  }
}
