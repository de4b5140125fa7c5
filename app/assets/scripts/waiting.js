// Taps that the server has not answered for yet, in this browser (IndexedDB), oldest first: they outlive a lost connection
// and a closed tablet.
import { openDB } from "idb";

export class Waiting {
  // @param {string} room the class they belong to
  constructor(room) {
    this.room = room;
    this.store = openDB("rungs", 1, {
      upgrade: (db) => db.createObjectStore("taps", { keyPath: "id", autoIncrement: true }),
    });
  }

  async add(tap) {
    return (await this.store).add("taps", tap);
  }

  async remove(id) {
    return (await this.store).delete("taps", id);
  }

  async all() {
    return (await (await this.store).getAll("taps")).filter((tap) => tap.room === this.room);
  }

  // Of whatever class.
  async everybody() {
    return (await this.store).getAll("taps");
  }

  async first() {
    return (await this.all())[0];
  }
}
