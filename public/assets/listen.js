// app/assets/scripts/codes.js
var codeOf = (key) => [...document.querySelectorAll("[name=code][data-key]")].find((button) => button.dataset.key === key)?.value;
var meant = (event) => !(event.ctrlKey || event.metaKey || event.altKey) && !event.target.matches("input:not([type=checkbox]), textarea, select");

// app/assets/scripts/hearing.js
var Hearing = class {
  // @param {HTMLElement} page the Listen page
  // @param {function} extra more to ask with: the seconds
  constructor(page2, extra) {
    this.page = page2;
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
  propose() {
    const candidates = document.getElementById("candidates");
    document.getElementById("heard").textContent = this.numbers.length ? `: ${this.said()}` : "";
    if (!this.numbers.length) {
      candidates.textContent = "";
      return;
    }
    const { room, problem } = this.page.dataset;
    const values = { problem, heard: this.said(), ...this.extra() };
    const where = { target: "#candidates", swap: "innerHTML", values };
    window.htmx.ajax("GET", `/listen/${room}/hearing`, where).catch(() => {
    });
  }
  forget() {
    this.field.value = "";
    if (!this.numbers.length) return;
    this.numbers = [];
    this.propose();
  }
};

// app/assets/scripts/offline.js
var keepPage = async () => {
  try {
    await navigator.serviceWorker?.register("/sw.js");
    const ready = await navigator.serviceWorker.ready;
    const files = [...document.querySelectorAll("script[src], link[rel=stylesheet]")].map(
      (each) => each.src || each.href
    );
    const loaded = performance.getEntriesByType("resource").map((each) => each.name);
    const fonts = loaded.filter((name) => name.includes("/fonts/"));
    ready.active.postMessage({ page: location.pathname + location.search, files: [...files, ...fonts] });
  } catch {
  }
};

// app/assets/scripts/token.js
var token = () => document.querySelector('meta[name="csrf-token"]').content;

// app/assets/scripts/trouble.js
var tell = (words) => {
  const trouble = document.getElementById("trouble");
  if (!trouble) return;
  trouble.textContent = words;
  trouble.hidden = !words;
};

// node_modules/idb/build/index.js
var instanceOfAny = (object, constructors) => constructors.some((c) => object instanceof c);
var idbProxyableTypes;
var cursorAdvanceMethods;
function getIdbProxyableTypes() {
  return idbProxyableTypes || (idbProxyableTypes = [
    IDBIndex,
    IDBObjectStore,
    IDBCursor,
    IDBDatabase,
    IDBTransaction
  ]);
}
function getCursorAdvanceMethods() {
  return cursorAdvanceMethods || (cursorAdvanceMethods = ["advance", "continue", "continuePrimaryKey"].map((method) => IDBCursor.prototype[method]));
}
var transactionDoneMap = /* @__PURE__ */ new WeakMap();
var transformCache = /* @__PURE__ */ new WeakMap();
var reverseTransformCache = /* @__PURE__ */ new WeakMap();
function promisifyRequest(request) {
  const promise = new Promise((resolve, reject) => {
    const unlisten = () => {
      request.removeEventListener("success", success);
      request.removeEventListener("error", error);
    };
    const success = () => {
      resolve(wrap(request.result));
      unlisten();
    };
    const error = () => {
      reject(request.error);
      unlisten();
    };
    request.addEventListener("success", success);
    request.addEventListener("error", error);
  });
  reverseTransformCache.set(promise, request);
  return promise;
}
function cacheDonePromiseForTransaction(tx) {
  if (transactionDoneMap.has(tx))
    return;
  const done = new Promise((resolve, reject) => {
    const unlisten = () => {
      tx.removeEventListener("complete", complete);
      tx.removeEventListener("error", error);
      tx.removeEventListener("abort", error);
    };
    const complete = () => {
      resolve();
      unlisten();
    };
    const error = () => {
      reject(tx.error || new DOMException("AbortError", "AbortError"));
      unlisten();
    };
    tx.addEventListener("complete", complete);
    tx.addEventListener("error", error);
    tx.addEventListener("abort", error);
  });
  transactionDoneMap.set(tx, done);
}
var idbProxyTraps = {
  get(target, prop, receiver) {
    if (target instanceof IDBTransaction) {
      if (prop === "done")
        return transactionDoneMap.get(target);
      if (prop === "store") {
        return receiver.objectStoreNames[1] ? void 0 : receiver.objectStore(receiver.objectStoreNames[0]);
      }
    }
    return wrap(target[prop]);
  },
  set(target, prop, value) {
    target[prop] = value;
    return true;
  },
  has(target, prop) {
    if (target instanceof IDBTransaction && (prop === "done" || prop === "store")) {
      return true;
    }
    return prop in target;
  }
};
function replaceTraps(callback) {
  idbProxyTraps = callback(idbProxyTraps);
}
function wrapFunction(func) {
  if (getCursorAdvanceMethods().includes(func)) {
    return function(...args) {
      func.apply(unwrap(this), args);
      return wrap(this.request);
    };
  }
  return function(...args) {
    return wrap(func.apply(unwrap(this), args));
  };
}
function transformCachableValue(value) {
  if (typeof value === "function")
    return wrapFunction(value);
  if (value instanceof IDBTransaction)
    cacheDonePromiseForTransaction(value);
  if (instanceOfAny(value, getIdbProxyableTypes()))
    return new Proxy(value, idbProxyTraps);
  return value;
}
function wrap(value) {
  if (value instanceof IDBRequest)
    return promisifyRequest(value);
  if (transformCache.has(value))
    return transformCache.get(value);
  const newValue = transformCachableValue(value);
  if (!Object.is(newValue, value)) {
    transformCache.set(value, newValue);
    reverseTransformCache.set(newValue, value);
  }
  return newValue;
}
var unwrap = (value) => reverseTransformCache.get(value);
function openDB(name, version, { blocked, upgrade, blocking, terminated } = {}) {
  const request = indexedDB.open(name, version);
  const openPromise = wrap(request);
  if (upgrade) {
    request.addEventListener("upgradeneeded", (event) => {
      upgrade(wrap(request.result), event.oldVersion, event.newVersion, wrap(request.transaction), event);
    });
  }
  if (blocked) {
    request.addEventListener("blocked", (event) => blocked(
      // Casting due to https://github.com/microsoft/TypeScript-DOM-lib-generator/pull/1405
      event.oldVersion,
      event.newVersion,
      event
    ));
  }
  openPromise.then((db) => {
    if (terminated)
      db.addEventListener("close", () => terminated());
    if (blocking) {
      db.addEventListener("versionchange", (event) => blocking(event.oldVersion, event.newVersion, event));
    }
  }).catch(() => {
  });
  return openPromise;
}
var readMethods = ["get", "getKey", "getAll", "getAllKeys", "count"];
var writeMethods = ["put", "add", "delete", "clear"];
var cachedMethods = {};
function getMethod(target, prop) {
  if (!(target instanceof IDBDatabase && !(prop in target) && typeof prop === "string")) {
    return;
  }
  if (cachedMethods[prop])
    return cachedMethods[prop];
  const targetFuncName = prop.replace(/FromIndex$/, "");
  const useIndex = prop !== targetFuncName;
  const isWrite = writeMethods.includes(targetFuncName);
  if (
    // Bail if the target doesn't exist on the target. Eg, getAll isn't in Edge.
    !(targetFuncName in (useIndex ? IDBIndex : IDBObjectStore).prototype) || !(isWrite || readMethods.includes(targetFuncName))
  ) {
    return;
  }
  const method = async function(storeName, ...args) {
    const tx = this.transaction(storeName, isWrite ? "readwrite" : "readonly");
    let target2 = tx.store;
    if (useIndex)
      target2 = target2.index(args.shift());
    return (await Promise.all([
      target2[targetFuncName](...args),
      isWrite && tx.done
    ]))[0];
  };
  return cachedMethods[prop] = method;
}
replaceTraps((oldTraps) => ({
  ...oldTraps,
  get: (target, prop, receiver) => getMethod(target, prop) || oldTraps.get(target, prop, receiver),
  has: (target, prop) => !!getMethod(target, prop) || oldTraps.has(target, prop)
}));
var advanceMethodProps = ["advance", "continue", "continuePrimaryKey"];
var methodMap = {};
var advanceResults = /* @__PURE__ */ new WeakMap();
var ittrProxiedCursorToOriginalProxy = /* @__PURE__ */ new WeakMap();
var cursorIteratorTraps = {
  get(target, prop) {
    if (!advanceMethodProps.includes(prop))
      return target[prop];
    let cachedFunc = methodMap[prop];
    if (!cachedFunc) {
      cachedFunc = methodMap[prop] = function(...args) {
        advanceResults.set(this, ittrProxiedCursorToOriginalProxy.get(this)[prop](...args));
      };
    }
    return cachedFunc;
  }
};
async function* iterate(...args) {
  let cursor = this;
  if (!(cursor instanceof IDBCursor)) {
    cursor = await cursor.openCursor(...args);
  }
  if (!cursor)
    return;
  cursor = cursor;
  const proxiedCursor = new Proxy(cursor, cursorIteratorTraps);
  ittrProxiedCursorToOriginalProxy.set(proxiedCursor, cursor);
  reverseTransformCache.set(proxiedCursor, unwrap(cursor));
  while (cursor) {
    yield proxiedCursor;
    cursor = await (advanceResults.get(proxiedCursor) || cursor.continue());
    advanceResults.delete(proxiedCursor);
  }
}
function isIteratorProp(target, prop) {
  return prop === Symbol.asyncIterator && instanceOfAny(target, [IDBIndex, IDBObjectStore, IDBCursor]) || prop === "iterate" && instanceOfAny(target, [IDBIndex, IDBObjectStore]);
}
replaceTraps((oldTraps) => ({
  ...oldTraps,
  get(target, prop, receiver) {
    if (isIteratorProp(target, prop))
      return iterate;
    return oldTraps.get(target, prop, receiver);
  },
  has(target, prop) {
    return isIteratorProp(target, prop) || oldTraps.has(target, prop);
  }
}));

// app/assets/scripts/waiting.js
var Waiting = class {
  // @param {string} room the class they belong to
  constructor(room) {
    this.room = room;
    this.store = openDB("rungs", 1, {
      upgrade: (db) => db.createObjectStore("taps", { keyPath: "id", autoIncrement: true })
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
};

// app/assets/scripts/sender.js
var REASONS = {
  401: "you are signed out; sign in in another tab",
  403: "this page is too old; load it again"
};
var bodyOf = (values) => {
  if (!values.photo) return new URLSearchParams(values);
  const form = new FormData();
  Object.entries(values).forEach(([name, value]) => form.append(name, value));
  return form;
};
var Sender = class {
  // @param {string} room
  // @param {string} problem what the page is about; answers for another are not shown
  // @param {function} show (tap, html) puts an answer in its place
  // @param {function} mark (taps) shows which taps wait
  constructor(room, problem, { show, mark }) {
    this.room = room;
    this.problem = problem;
    this.shows = [show];
    this.mark = mark;
    this.waiting = new Waiting(room);
    window.addEventListener("online", () => this.pump());
    this.pump();
  }
  // One more that puts answers in their place; each takes those it knows by their path.
  showing(show) {
    this.shows.push(show);
  }
  // Into the browser's own store first.
  async send(path, values) {
    await this.waiting.add({ room: this.room, problem: this.problem, path, values });
    this.pump();
  }
  async pump() {
    clearTimeout(this.retry);
    await navigator.locks.request("rungs-taps", async () => {
      for (let tap = await this.waiting.first(); tap; tap = await this.waiting.first()) {
        const answer = await this.post(tap);
        if (!answer) return;
        await this.waiting.remove(tap.id);
        if (answer.status === 200 && tap.problem === this.problem) await this.put(tap, answer);
        tell([404, 422].includes(answer.status) ? await answer.text() : "");
      }
    });
  }
  async put(tap, answer) {
    const html = await answer.text();
    this.shows.forEach((show) => show(tap, html));
  }
  // @return the server's word, good or bad; null where the tap has to wait
  async post({ path, values }) {
    try {
      const headers = { "X-CSRF-Token": token(), "HX-Request": "true" };
      const answer = await fetch(path, { method: "POST", body: bodyOf(values), headers });
      if (answer.ok || [404, 422].includes(answer.status)) return answer;
      return this.wait(REASONS[answer.status] ?? "the server could not take it");
    } catch {
      return this.wait("no connection");
    }
  }
  async wait(reason) {
    const taps = await this.waiting.all();
    const many = taps.length === 1 ? "1 tap is" : `${taps.length} taps are`;
    tell(`${many} waiting: ${reason}. They are kept on this device and sent as soon as it works again.`);
    this.mark(taps);
    this.retry = setTimeout(() => this.pump(), 3e3);
    return null;
  }
};

// app/assets/scripts/wrong_answer.js
var WrongAnswer = class {
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
};

// app/assets/scripts/listen.js
var BOARD_AWAY = "The board could not be reached. Your records are safe; press again when the connection is back.";
var Listen = class {
  constructor(page2) {
    this.page = page2;
    this.base = `/listen/${page2.dataset.room}/records`;
    this.child = null;
    this.fresh = false;
    this.key = null;
    this.sender = new Sender(page2.dataset.room, page2.dataset.problem, {
      show: (tap, html) => this.show(tap, html),
      mark: (taps) => this.markWaiting(taps)
    });
    this.hearing = new Hearing(page2, () => this.seconds());
    this.wrong = new WrongAnswer(
      (said) => this.change(`${this.base}/${this.key}/changes`, said === "" ? { right: "false" } : { answer: said })
    );
    this.timed = document.getElementById("timed");
    this.timed.checked = localStorage.getItem("rungs-timed") === "on";
    this.attend();
    const chosen = document.querySelector(".child[aria-current]")?.dataset.child ?? sessionStorage.getItem("rungs-picked");
    sessionStorage.removeItem("rungs-picked");
    if (chosen) this.pick(chosen);
  }
  attend() {
    document.addEventListener("click", (event) => this.click(event));
    document.addEventListener("submit", (event) => this.submit(event));
    document.addEventListener("keydown", (event) => this.press(event));
    document.addEventListener("change", (event) => this.photo(event));
    document.addEventListener("htmx:afterSettle", () => this.mark());
    this.timed.addEventListener("change", () => localStorage.setItem("rungs-timed", this.timed.checked ? "on" : "off"));
  }
  click(event) {
    const on = (name) => event.target.closest(`[data-${name}]`);
    if (on("child")) {
      event.preventDefault();
      this.pick(on("child").dataset.child);
    } else if (on("heard")) this.hearing.tap(on("heard").dataset.heard);
    else if (on("take")) this.take(on("take").dataset);
    else if (on("board")) this.board(on("board"));
    else if (on("change")) this.change(on("change").dataset.change, { [on("change").name]: on("change").value });
  }
  submit(event) {
    const form = event.target;
    const ours = form.id === "rungs" || form.matches("[data-undo]") || form.dataset.changeForm;
    if (!ours) return;
    event.preventDefault();
    if (form.id === "rungs") this.record(event.submitter.value);
    else if (form.dataset.changeForm) this.change(form.dataset.changeForm, { answer: form.elements.answer.value });
    else this.sender.send(form.getAttribute("action"), { client_key: crypto.randomUUID() });
  }
  // The board follows; the remote is drawn anew to match it.
  async board(button) {
    const { room, problem } = this.page.dataset;
    const body = new URLSearchParams({ do: button.dataset.board, value: button.dataset.value ?? "" });
    const follow = document.getElementById("remote").dataset.follow;
    try {
      const answer = await fetch(`${follow}/commands`, { method: "POST", headers: { "X-CSRF-Token": token() }, body });
      if (!answer.ok) throw new Error(answer.status);
      const where = { target: "#remote", swap: "innerHTML" };
      await window.htmx.ajax("GET", `/listen/${room}/remote?problem=${problem}`, where);
    } catch {
      tell(BOARD_AWAY);
    }
  }
  // A photo waits like any tap, and goes once its record has arrived.
  photo({ target }) {
    const form = target.closest("[data-photo-form]");
    if (!form || !target.files.length) return;
    this.sender.send(form.getAttribute("action"), { client_key: crypto.randomUUID(), photo: target.files[0] });
    target.value = "";
  }
  // One tap takes what was proposed.
  take({ take, move, answer }) {
    this.fresh = this.child !== null;
    this.record(take, { ...move && { move }, ...answer && { answer }, heard: this.hearing.said() });
    this.hearing.forget();
  }
  // Which problem: one that was posed, or an item that is posed when the tap arrives.
  of() {
    const { problem, part, item } = this.page.dataset;
    return problem ? { problem_id: problem } : { part_id: part, item };
  }
  seconds() {
    const passed = Math.round((Date.now() - Date.parse(this.page.dataset.posedAt)) / 1e3);
    return this.timed.checked && passed >= 0 && passed <= 600 ? { seconds: passed } : {};
  }
  pick(id) {
    if (id !== this.child) this.hearing.forget();
    this.child = id;
    this.fresh = true;
    document.querySelectorAll("[data-by]").forEach((field) => field.value = id);
    this.mark();
    tell("");
  }
  mark() {
    document.querySelectorAll("[data-child]").forEach((each) => {
      if (each.dataset.child === this.child) each.setAttribute("aria-current", "true");
      else each.removeAttribute("aria-current");
    });
  }
  markWaiting(taps) {
    taps.forEach(({ values }) => {
      document.querySelector(`[data-child="${values.child_id}"]`)?.classList.add("is-waiting");
    });
  }
  // A rung after a name is a new record; another rung right after corrects it.
  record(code, details = {}) {
    if (!this.child) {
      tell("Pick a child first, then the rung.");
      return;
    }
    if (!this.fresh) {
      this.change(`${this.base}/${this.key}/changes`, { code });
      return;
    }
    this.fresh = false;
    this.key = crypto.randomUUID();
    this.sender.send(this.base, {
      child_id: this.child,
      ...this.of(),
      code,
      client_key: this.key,
      happened_at: (/* @__PURE__ */ new Date()).toISOString(),
      ...this.seconds(),
      ...details
    });
  }
  change(path, values) {
    this.sender.send(path, { ...values, client_key: crypto.randomUUID() });
  }
  show({ path, values }, html) {
    if (!path.startsWith(this.base) && !values.photo) return;
    if (!values.photo) {
      window.htmx.swap("#live", html, { swapStyle: "innerHTML" });
      return;
    }
    const place = document.getElementById(`photos-${path.split("/").at(-1)}`);
    if (place) place.innerHTML = html;
  }
  press(event) {
    if (!meant(event)) return;
    if (this.wrong.typing && this.wrong.type(event.key)) {
      event.preventDefault();
      return;
    }
    const act = this.keys(event.key);
    if (!act) return;
    event.preventDefault();
    act();
  }
  keys(key) {
    const code = codeOf(key);
    if (code) return () => this.record(code);
    if (key === "u") return () => document.querySelector("#live [data-undo] button")?.click();
    if (key === "x")
      return () => this.key ? this.wrong.start() : tell("Tap a child and a rung first, then x and the wrong answer.");
    if (key === "n") return () => location.assign(this.page.dataset.next);
    return /^\p{L}$/u.test(key) ? () => this.pickByLetter(key.toLowerCase()) : null;
  }
  // The same letter again goes on to the next child with it. Capitals reach the names whose letter is a command.
  pickByLetter(letter) {
    const all = [...document.querySelectorAll("[data-child]")];
    const those = all.filter((each) => each.dataset.name.toLowerCase().startsWith(letter));
    if (!those.length) return;
    const at = those.findIndex((each) => each.dataset.child === this.child);
    this.pick(those[(at + 1) % those.length].dataset.child);
  }
};
var page = document.getElementById("listen");
if (page) {
  window.listen = new Listen(page);
  keepPage();
}
