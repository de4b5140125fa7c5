// Unpacks a WOFF font into the TrueType font that is in it, for PDF: node ttf.mjs from.woff to.ttf
import { readFileSync, writeFileSync } from "node:fs";
import { inflateSync } from "node:zlib";

const [from, to] = process.argv.slice(2);
const woff = readFileSync(from);
if (woff.toString("latin1", 0, 4) !== "wOFF") throw new Error(`${from} is no WOFF font`);

const count = woff.readUInt16BE(12);
const tables = Array.from({ length: count }, (_, index) => {
  const at = 44 + index * 20;
  const [offset, packed, length] = [4, 8, 12].map((step) => woff.readUInt32BE(at + step));
  const data = woff.subarray(offset, offset + packed);
  return {
    tag: woff.subarray(at, at + 4),
    checksum: woff.readUInt32BE(at + 16),
    data: packed < length ? inflateSync(data) : data,
  };
});

const power = 2 ** Math.floor(Math.log2(count));
const head = Buffer.alloc(12 + count * 16);
head.writeUInt32BE(woff.readUInt32BE(4), 0);
[count, power * 16, Math.log2(power), count * 16 - power * 16].forEach((value, index) =>
  head.writeUInt16BE(value, 4 + index * 2),
);

let offset = head.length;
const bodies = tables.map(({ tag, checksum, data }, index) => {
  const at = 12 + index * 16;
  tag.copy(head, at);
  [checksum, offset, data.length].forEach((value, place) => head.writeUInt32BE(value, at + 4 + place * 4));
  const padded = Buffer.alloc(Math.ceil(data.length / 4) * 4);
  data.copy(padded);
  offset += padded.length;
  return padded;
});
writeFileSync(to, Buffer.concat([head, ...bodies]));
