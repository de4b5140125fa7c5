// app/assets/scripts/dialogs.js
document.addEventListener("htmx:afterSwap", ({ target }) => {
  const dialog = target.closest?.("dialog");
  if (dialog && !dialog.open) dialog.showModal();
});
document.addEventListener("click", (event) => {
  const link = event.target.closest("[data-behind] a");
  if (!link || event.ctrlKey || event.metaKey || event.shiftKey) return;
  event.preventDefault();
  window.htmx.ajax("GET", link.getAttribute("href"), "#why-text");
});

// app/assets/scripts/clock.js
var clock = document.querySelector("[data-clock]");
if (clock) {
  const begun = Date.now() - Number(clock.dataset.clock) * 1e3;
  setInterval(() => {
    const passed = Math.floor((Date.now() - begun) / 1e3);
    clock.textContent = `${Math.floor(passed / 60)}:${String(passed % 60).padStart(2, "0")}`;
  }, 1e3);
}

// app/assets/scripts/days.js
document.addEventListener("input", ({ target }) => {
  if (!target.dataset?.day) return;
  const day = /* @__PURE__ */ new Date(`${target.dataset.day}T12:00:00`);
  day.setDate(day.getDate() - Number(target.value));
  target.nextElementSibling.value = day.toLocaleDateString("en-GB", { day: "numeric", month: "long" });
});

// app/assets/scripts/drag.js
var held = null;
var dragging = null;
var formOf = (element) => element.closest("[data-drag-form]");
var placeAt = (x, y) => document.elementFromPoint(x, y)?.closest("[data-drop]");
var hold = (item) => {
  held?.setAttribute("aria-pressed", "false");
  held = item;
  held?.setAttribute("aria-pressed", "true");
};
var move = (item, place) => {
  const form = formOf(item);
  hold(null);
  if (item === place) return;
  form.querySelector("[name=item]").value = item.dataset.drag;
  form.querySelector("[name=place]").value = place.dataset.drop;
  form.requestSubmit();
};
document.addEventListener("click", (event) => {
  const item = event.target.closest("[data-drag]");
  const place = event.target.closest("[data-drop]");
  if (held && place && formOf(place) === formOf(held)) {
    move(held, place);
    return;
  }
  if (item && formOf(item)) hold(held === item ? null : item);
});
document.addEventListener("pointerdown", (event) => {
  const item = event.target.closest("[data-drag]");
  if (!item || !formOf(item)) return;
  dragging = { item, x: event.clientX, y: event.clientY, ghost: null };
});
document.addEventListener("pointermove", (event) => {
  if (!dragging) return;
  const far = Math.hypot(event.clientX - dragging.x, event.clientY - dragging.y) > 8;
  if (!dragging.ghost && far) {
    dragging.ghost = dragging.item.cloneNode(true);
    dragging.ghost.removeAttribute("id");
    dragging.ghost.classList.add("ghost");
    document.body.append(dragging.ghost);
  }
  if (dragging.ghost) dragging.ghost.style.transform = `translate(${event.clientX + 6}px, ${event.clientY + 6}px)`;
});
document.addEventListener("pointerup", (event) => {
  const done = dragging;
  dragging = null;
  if (!done?.ghost) return;
  done.ghost.remove();
  const place = placeAt(event.clientX, event.clientY);
  const swallow = (click) => click.stopImmediatePropagation();
  document.addEventListener("click", swallow, { capture: true, once: true });
  setTimeout(() => document.removeEventListener("click", swallow, { capture: true }), 0);
  if (place && formOf(place) === formOf(done.item)) move(done.item, place);
});
document.addEventListener("pointercancel", () => {
  dragging?.ghost?.remove();
  dragging = null;
});
document.addEventListener("keydown", (event) => {
  if (event.key === "Escape") hold(null);
});

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

// app/assets/scripts/left_over.js
var note = document.getElementById("waiting-note");
var listening = document.querySelector("[data-problem], [data-conducting]");
var sayHowMany = (taps) => {
  note.textContent = taps.length === 1 ? "1 tap waits on this device. It is kept; signing in sends it." : `${taps.length} taps wait on this device. They are kept; signing in sends them.`;
  note.hidden = false;
};
var send = (taps) => {
  const rooms = new Set(taps.map((tap) => tap.room));
  rooms.delete(listening?.dataset.room);
  rooms.forEach((room) => new Sender(room, null, { show: () => {
  }, mark: () => {
  } }));
};
if (note || document.querySelector("nav.tabs")) {
  const taps = await new Waiting(null).everybody();
  if (note && taps.length) sayHowMany(taps);
  else if (!note && taps.length) send(taps);
}

// app/assets/scripts/pages.js
document.addEventListener("htmx:configRequest", (event) => {
  event.detail.headers["X-CSRF-Token"] = token();
});
