// One way to post for all scripts: with the page's token, its person's name and what time it is here, hearing what time it
// is on the server.
import { hearTime } from "./server_clock.js";
import { renew } from "./once.js";
import { token } from "./token.js";
import { WHO } from "./waiting.js";

// @param {string} path
// @param {URLSearchParams|FormData} body
// @return {Promise<Response>}
export const post = async (path, body) => {
  const headers = { "X-CSRF-Token": token(), "HX-Request": "true", "Rungs-Who": WHO, "Rungs-Clock": Date.now() };
  const answer = await fetch(path, { method: "POST", headers, body });
  hearTime(answer);
  if (answer.ok) renew(body.get("once"));
  return answer;
};
