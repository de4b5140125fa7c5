// app/assets/scripts/follow.js
var SILENT = 12e3;
var follow = (path, told, full = () => {
}) => {
  const events = new EventSource(`${path}/events`);
  let watch;
  const again = () => {
    clearTimeout(watch);
    events.close();
    setTimeout(() => follow(path, told, full), 1e3);
  };
  const expect = () => {
    clearTimeout(watch);
    watch = setTimeout(again, SILENT);
  };
  expect();
  events.addEventListener("full", () => {
    clearTimeout(watch);
    events.close();
    full();
  });
  events.onmessage = async ({ data }) => {
    expect();
    if (await told(Number(data)) !== false) return;
    clearTimeout(watch);
    events.close();
  };
  events.onerror = () => {
    if (events.readyState === EventSource.CLOSED) again();
  };
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

// app/assets/scripts/conduct.js
var AWAY = "No connection. The steps go on here; the board follows when it is back, and what you tap is kept.";
var BOARD_AWAY = "The board could not be reached. Nothing is lost; press again when the connection is back.";
var RETRY = 3e3;
var LIVE = ["now", "offered"];
var Conduct = class {
  constructor(page2) {
    this.page = page2;
    this.here = page2.dataset.conducting;
    this.version = Number(page2.dataset.version);
    this.parts = page2.dataset.parts.split(" ");
    this.made = this.item();
    this.pending = null;
    this.kept = this.keep();
    this.sender = window.listen?.sender ?? this.own();
    this.sender.showing((tap, html) => this.offered(tap, html));
    document.addEventListener("submit", (event) => this.submit(event));
    document.addEventListener("click", (event) => this.touch(event));
    document.addEventListener("keydown", (event) => event.key === "Enter" && this.touch(event));
    window.addEventListener("online", () => this.catchUp());
    follow(page2.dataset.follow, (version) => this.told(version));
    keepPage();
  }
  // Where nothing is listened to, ways are sent all the same.
  own() {
    return new Sender(this.page.dataset.room, void 0, { show: () => {
    }, mark: () => {
    } });
  }
  now = () => document.getElementById("now").dataset;
  item = () => `${this.now().part}.${this.now().item}`;
  // All steps of the lesson, from the browser's own store where they are there already.
  async keep() {
    const path = `${this.here}/kept?v=${this.page.dataset.kept}`;
    const held = document.createElement("div");
    try {
      held.innerHTML = await (await fetch(path, { cache: "force-cache" })).text();
    } catch {
    }
    return held;
  }
  submit(event) {
    const form = event.target;
    if ("way" in form.dataset) this.way(event);
    else if ("stay" in form.dataset) {
      event.preventDefault();
      const body = new URLSearchParams(new FormData(form));
      if (event.submitter?.name) body.set(event.submitter.name, event.submitter.value);
      this.send(form.action, body);
    } else if (form.classList.contains("conduct") && !navigator.onLine) {
      event.preventDefault();
      this.goOn(event.submitter.value);
    }
  }
  touch(event) {
    const place = event.target.closest?.("[data-touches] [data-touch]");
    if (!place) return;
    event.preventDefault();
    const body = new URLSearchParams(new FormData(place.closest("form")));
    body.set("do", "touch");
    body.set("value", place.dataset.touch);
    this.send(`${this.here}/do`, body, place.dataset.touch);
  }
  async send(path, body, touched) {
    try {
      const headers = { "X-CSRF-Token": token(), "HX-Request": "true" };
      const answer = await fetch(path, { method: "POST", body, headers });
      const html = await answer.text();
      if (answer.ok) this.put(html, touched);
      else tell(html);
    } catch {
      this.without(body);
    }
  }
  // The next or the last part of the lesson, at its first step.
  goOn(to) {
    const at = this.parts.indexOf(this.now().part) + { on: 1, skip: 1, back: -1 }[to];
    if (this.parts[at]) this.without(new URLSearchParams({ do: "step", part: this.parts[at], value: "0.0" }));
    else tell(BOARD_AWAY);
  }
  // A step that is kept here is shown; the board goes there when it can.
  async without(body) {
    const part = body.get("part") ?? this.now().part;
    const at = `${part}.${body.get("value")}`;
    const step = body.get("do") === "step" && (await this.kept).querySelector(`[data-at="${at}"]`);
    if (!step) {
      tell(BOARD_AWAY);
      return;
    }
    document.getElementById("now").replaceWith(step.content.cloneNode(true));
    body.set("part", part);
    this.pending = body;
    await this.another();
    tell(AWAY);
    clearTimeout(this.retry);
    this.retry = setTimeout(() => this.catchUp(), RETRY);
  }
  // Another item than the page was made for: what is tapped is of that one.
  async another() {
    const { part, item, title } = this.now();
    if (this.page.dataset.part === part && this.page.dataset.item === item) return;
    Object.assign(this.page.dataset, { part, item, problem: "", postedAt: (/* @__PURE__ */ new Date()).toISOString() });
    const bars = (await this.kept).querySelector(`[data-bars="${part}.${item}"]`);
    const shown = document.querySelector("#rungs .bars");
    if (shown && bars) shown.replaceWith(bars.content.cloneNode(true));
    const named = document.querySelector(".conduct-part strong");
    if (named) named.textContent = title;
    document.querySelectorAll("[data-way]").forEach((form) => {
      form.elements.part_id.value = part;
      form.elements.item.value = item;
    });
  }
  async catchUp() {
    if (!this.pending) return;
    const body = this.pending;
    this.pending = null;
    await this.send(`${this.here}/do`, body);
  }
  async told(version) {
    if (version <= this.version || this.pending) return;
    const answer = await fetch(this.here).catch(() => null);
    if (answer?.ok) this.put(await answer.text());
  }
  // The same item: only what changed is put in its place; another: the whole page, with the name that was picked.
  put(html, touched) {
    const fresh = new DOMParser().parseFromString(html, "text/html");
    const page2 = fresh.querySelector("[data-conducting]");
    if (`${page2?.dataset.part}.${page2?.dataset.item}` !== this.made) {
      if (window.listen?.fresh) sessionStorage.setItem("rungs-picked", window.listen.child);
      location.assign(this.here);
      return;
    }
    this.version = Number(page2.dataset.version);
    if (page2.dataset.problem) this.page.dataset.problem = page2.dataset.problem;
    tell("");
    if (document.getElementById("tap-picture")) LIVE.forEach((id) => this.around(fresh, id));
    else LIVE.forEach((id) => document.getElementById(id)?.replaceWith(fresh.getElementById(id)));
    if (touched) document.querySelector(`#now [data-touch="${touched}"]`)?.focus({ preventScroll: true });
  }
  // Groups that are being tapped stay as they are; all around them is new.
  around(fresh, id) {
    const there = document.getElementById(id);
    const next = fresh.getElementById(id);
    const tapping = there?.querySelector(".stage");
    if (tapping) next.querySelector(".stage").replaceWith(tapping);
    there?.replaceWith(next);
  }
  // A way waits like any tap.
  way(event) {
    event.preventDefault();
    const form = event.target;
    const values = Object.fromEntries(new FormData(form));
    if (event.submitter?.name) values[event.submitter.name] = event.submitter.value;
    delete values.authenticity_token;
    values.client_key = crypto.randomUUID();
    this.sender.send(form.getAttribute("action"), values);
    if (!navigator.onLine) this.clear();
  }
  // What was typed or tapped goes once it was taken, or waits.
  clear() {
    document.querySelectorAll("[data-way] [name=written]").forEach((field) => field.value = "");
    document.getElementById("clear-groups")?.click();
  }
  offered({ path, values }, html) {
    if (!path.endsWith("/ways") || `${values.part_id}.${values.item}` !== this.item()) return;
    document.getElementById("offered").outerHTML = html;
    this.clear();
  }
};
var page = document.querySelector("[data-conducting]");
if (page) window.conducting = new Conduct(page);
