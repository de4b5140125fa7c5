// What every page does in the browser.
import "./dialogs.js";
import "./clock.js";
import "./copy.js";
import "./days.js";
import "./drag.js";
import "./keys.js";
import "./zone.js";
import "./left_over.js";
import "./strip.js";
import { renew } from "./once.js";
import { token } from "./token.js";

document.addEventListener("htmx:configRequest", (event) => {
  event.detail.headers["X-CSRF-Token"] = token();
});

document.addEventListener("htmx:afterRequest", ({ detail }) => {
  if (detail.successful) renew(detail.requestConfig.parameters.once);
});
