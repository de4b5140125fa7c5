// Taps that the server has not kept yet, in this browser (IndexedDB), oldest first: they outlive a lost connection and a
// closed tablet. Each belongs to who tapped it; nobody else's sign-in sends, shows or loses it.
import { openDB } from "idb";

// Who uses this page, as the server knows them; empty where nobody is signed in.
export const WHO = document.body.dataset.who ?? "";

// A tap of a version that did not say whose is taken for one's own.
const mine = (tap) => (tap.who ?? WHO) === WHO;

export class Waiting {
  // @param {string} [room] the class they are of; any where none is given
  constructor(room) {
    this.room = room;
    this.store = openDB("rungs", 1, {
      upgrade: (db) => db.createObjectStore("taps", { keyPath: "id", autoIncrement: true }),
    });
  }

  async add(tap) {
    return (await this.store).add("taps", { ...tap, who: WHO });
  }

  async remove(id) {
    return (await this.store).delete("taps", id);
  }

  // It could not be kept: it stays, with the reason, until the teacher says what to do; unless it was let go meanwhile.
  async refuse(tap, reason) {
    const store = await this.store;
    return (await store.get("taps", tap.id)) && store.put("taps", { ...tap, refused: reason });
  }

  async retry({ refused, ...tap }) {
    return refused && (await this.store).put("taps", tap);
  }

  async everybody() {
    return (await this.store).getAll("taps");
  }

  async all() {
    const taps = await this.everybody();
    return taps.filter((tap) => mine(tap) && !tap.refused && (!this.room || tap.room === this.room));
  }

  async refused() {
    return (await this.everybody()).filter((tap) => mine(tap) && tap.refused);
  }

  async ofOthers() {
    return (await this.everybody()).filter((tap) => !mine(tap));
  }

  async first() {
    return (await this.all())[0];
  }
}
