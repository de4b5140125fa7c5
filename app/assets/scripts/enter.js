// The clipboard entered: one tap a cell, or arrows and keys; each is a record of its own, kept here until it has arrived.
import { meant, titleOf } from "./codes.js";
import { Sender } from "./sender.js";

const STEPS = { ArrowLeft: [0, -1], ArrowRight: [0, 1], ArrowUp: [-1, 0], ArrowDown: [1, 0], Enter: [1, 0] };

class Enter {
  constructor(table) {
    this.base = `/listen/${table.dataset.room}/records`;
    this.rows = [...table.tBodies[0].rows].map((row) => [...row.querySelectorAll(".enter-cell")]);
    const mark = (taps) => taps.forEach((tap) => this.waits(tap));
    const refuse = (tap) => this.refuse(tap);
    this.sender = new Sender(table.dataset.room, undefined, { show: () => {}, mark, refuse });
    table.addEventListener("click", ({ target }) => target.matches(".mark") && this.tap(target));
    table.addEventListener("change", ({ target }) => target.matches(".said") && this.answer(target));
    table.addEventListener("focusin", ({ target }) => this.at(target.closest(".enter-cell")));
    document.addEventListener("keydown", (event) => this.press(event));
    this.rows[0][0].focus();
  }

  at(cell) {
    if (!cell) return;
    this.cell?.classList.remove("is-here");
    this.cell = cell;
    cell.classList.add("is-here");
  }

  // The same mark again takes the record back; another corrects it.
  tap(button) {
    const cell = button.closest(".enter-cell");
    this.at(cell);
    if (button.ariaPressed === "true") this.undo(cell);
    else if (cell.dataset.key) this.change(cell, { code: button.value });
    else this.record(cell, button.value);
    if (cell.dataset.key) this.show(cell, button);
  }

  record(cell, code) {
    const { child, part, item, equation, at } = cell.dataset;
    cell.dataset.key = crypto.randomUUID();
    const of = { child_id: child, part_id: part, item, equation };
    const values = { ...of, code, client_key: cell.dataset.key, held_at: at };
    this.sender.send(this.base, values, `${cell.ariaLabel}: ${titleOf(code)}`);
  }

  change(cell, values) {
    const path = `${this.base}/${cell.dataset.key}/changes`;
    this.sender.send(path, { ...values, client_key: crypto.randomUUID() }, cell.ariaLabel);
  }

  undo(cell) {
    if (!cell.dataset.key) return;
    const path = `${this.base}/${cell.dataset.key}/undo`;
    this.sender.send(path, { client_key: crypto.randomUUID() }, `undo: ${cell.ariaLabel}`);
    cell.dataset.key = "";
    this.show(cell, null);
    cell.querySelector(".said").value = "";
  }

  // An empty box is a right answer again.
  answer(input) {
    const said = input.value.trim();
    if (/^\d{0,3}$/.test(said)) this.change(input.closest(".enter-cell"), said ? { answer: said } : { right: "true" });
  }

  show(cell, pressed) {
    cell.querySelectorAll(".mark").forEach((each) => each.setAttribute("aria-pressed", each === pressed));
    cell.querySelector(".said").disabled = !pressed;
    cell.classList.remove("is-waiting", "is-refused");
  }

  waits({ values }) {
    const key = values.client_key;
    document.querySelector(`.enter-cell[data-key="${key}"]`)?.classList.add("is-waiting");
  }

  // It was not kept: the cell says so, and is as if nothing had been tapped in it.
  refuse({ values }) {
    const cell = document.querySelector(`.enter-cell[data-key="${values.client_key}"]`);
    if (!cell) return;
    cell.dataset.key = "";
    this.show(cell, null);
    cell.classList.add("is-refused");
  }

  // After a mark by key the next child is at hand.
  press(event) {
    if (!this.cell || !meant(event)) return;
    const step = STEPS[event.key];
    const button = [...this.cell.querySelectorAll(".mark")].find((each) => each.textContent.trim() === event.key);
    if (!step && !button && event.key !== "u") return;
    if (event.key === "Enter" && event.target.matches(".mark")) return;
    event.preventDefault();
    if (event.key === "u") this.undo(this.cell);
    if (button) this.tap(button);
    if (step || button) this.go(...(step ?? STEPS.ArrowDown));
  }

  // Past the last child the next problem begins.
  go(down, across) {
    const row = this.rows.findIndex((cells) => cells.includes(this.cell));
    const column = this.rows[row].indexOf(this.cell);
    const past = down > 0 && row + down >= this.rows.length && column + 1 < this.rows[row].length;
    const next = past ? this.rows[0][column + 1] : this.rows[row + down]?.[column + across];
    next?.focus();
  }
}

const table = document.getElementById("enter");
if (table) window.entering = new Enter(table);
