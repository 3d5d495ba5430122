import { randomUUID } from "node:crypto";
import { filledPath, ROUTE_PATHS, type ShownForm } from "#commands/soak/forms-of-pages.ts";

/** A request as it goes over the wire. */
export interface RawRequest {
  readonly method: string;
  readonly path: string;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: string;
}

/** Uniform from 0 up to and without 1. */
export type Draw = () => number;

const LONG = 60_000;
/** Values that broke somebody's parser once: numbers, dates, patterns that look back, odd letters, and plain length. */
const VALUES: readonly (() => string)[] = [
  () => "",
  () => "0",
  () => "-1",
  () => "1e999",
  () => "NaN",
  () => "9007199254740993",
  () => "4 9.2",
  () => "2026-02-31",
  () => "0000-00-00",
  () => "+275760-09-13",
  () => "99:99",
  () => "2026-09-17T25:61",
  () => "a\u0000b",
  () => "\ud83d\udc13".repeat(40),
  () => "\u202e\u0301\u0301\ufeff",
  () => "<script>alert(1)</script>\"'--",
  () => "a\r\nBEGIN:VEVENT\r\nX:1",
  () => "%00%ff%",
  () => "__proto__",
  () => "[object Object]",
  () => '{"$gt":""}',
  () => "9".repeat(LONG),
  () => " ".repeat(LONG),
  () => `${"1 ".repeat(LONG / 2)}x`,
  () => `${"1,".repeat(LONG / 2)}x`,
  () => "a".repeat(LONG),
  () => `${"(".repeat(LONG / 2)}!`,
  () => `${"-".repeat(LONG)}`,
  () => `${"@a.".repeat(LONG / 3)}`,
];
const NAMES: readonly string[] = [
  "a[99999999]",
  "__proto__[x]",
  "constructor.prototype",
  "__intent__",
  "lots[999].birdCount",
  "lots[0][0][0]",
  "entryId",
  "back",
  "x".repeat(LONG),
  "",
  "\ud83d\udc14",
];
const IDS: readonly string[] = [
  ...["1", "2", "3", "1", "2", "3", "4", "26"],
  ...["0", "-1", "1.5", "1e3", "99999999999999999999", "%00", "%F0%9F%90%93", "%ED%A0%80", "..%2f..%2f", "%"],
  "x".repeat(2000),
];
const METHODS = ["PUT", "DELETE", "PATCH", "OPTIONS", "HEAD", "TRACE", "PROPFIND", "SEARCH"] as const;
const QUERIES: readonly string[] = [
  "q",
  "page",
  "year",
  "flow",
  "product",
  "back",
  "on",
  "batch",
  "after",
  "name",
  "_routes",
];
const BACKS: readonly string[] = [
  "//evil.example",
  "/\t//evil.example",
  "/%09//evil.example",
  "\\\\evil.example",
  "javascript:1",
];
const CALENDAR_LINES: readonly string[] = [
  "RRULE:FREQ=SECONDLY",
  "RRULE:FREQ=DAILY;INTERVAL=0",
  "RRULE:FREQ=YEARLY;BYDAY=99MO;COUNT=-1",
  "RRULE:;;;=",
  "DTSTART:19000101T000000Z",
  "DTSTART;TZID=Nowhere/Never:20260101T250000",
  "DTSTART;VALUE=DATE:2026",
  "DTEND:00000000",
  "DURATION:P99999999999D",
  "EXDATE:x",
  "RECURRENCE-ID:20260101",
  "X-\ud83d\udc14:1",
  ":",
  "BEGIN:VTIMEZONE\r\nEND:VTIMEZONE",
];

export function anyOf<Value>(draw: Draw, values: readonly Value[]): Value {
  return values[Math.floor(draw() * values.length)]!;
}

/** One request: mostly a form as a page shows it with something wrong in it, else an address, a header, or a method that is odd. */
export function hostileRequest(draw: Draw, forms: readonly ShownForm[], port: number): RawRequest {
  const host = `127.0.0.1:${port}`;
  const origin = `http://${host}`;
  const kind = draw();
  if (kind < 0.3) return { method: "GET", path: oddPath(draw), headers: { host }, body: "" };
  if (kind < 0.36)
    return {
      method: anyOf(draw, METHODS),
      path: oddPath(draw),
      headers: { host, origin, "content-length": "0" },
      body: "",
    };
  if (kind < 0.42) return { method: "GET", path: "/", headers: oddHeaders(draw, host), body: "" };
  const form = anyOf(draw, forms);
  const path = draw() < 0.15 ? filledPath(anyOf(draw, ROUTE_PATHS), () => anyOf(draw, IDS)) : form.path;
  const fields = changedFields(draw, form);
  const headers = { host, origin, ...(draw() < 0.5 ? { "sec-fetch-site": "same-origin" } : {}) };
  const dataPath = draw() < 0.3 ? withData(path) : path;
  if (draw() < 0.12) return { method: "POST", path: dataPath, ...multipart(draw, fields, headers) };
  const type = draw() < 0.05 ? anyOf(draw, TYPES) : "application/x-www-form-urlencoded";
  const body = type.startsWith("application/json")
    ? JSON.stringify(Object.fromEntries(fields))
    : encoded(fields);
  return { method: "POST", path: dataPath, headers: { ...headers, "content-type": type }, body };
}

const TYPES = [
  "application/json",
  "text/plain",
  "multipart/form-data",
  "multipart/form-data; boundary=",
  "x",
  "application/octet-stream",
] as const;

/** The address by which React Router asks for a page's data. */
function withData(path: string): string {
  const [before = "", query] = path.split("?");
  const asked = before === "/" ? "/_root.data" : `${before}.data`;
  return query === undefined ? asked : `${asked}?${query}`;
}

const encoded = (fields: readonly (readonly [string, string])[]): string => {
  try {
    return fields.map((pair) => pair.map(encodeURIComponent).join("=")).join("&");
  } catch {
    return fields.map((pair) => pair.join("=")).join("&");
  }
};

function oddPath(draw: Draw): string {
  const path = filledPath(anyOf(draw, ROUTE_PATHS), () => anyOf(draw, IDS));
  const base = draw() < 0.3 ? withData(path) : path;
  if (draw() < 0.5) return base;
  const values = [
    ...VALUES.slice(0, 12).map((value) => value()),
    ...BACKS,
    "x".repeat(draw() < 0.3 ? 5000 : 50),
    "%",
  ];
  const query = `${anyOf(draw, QUERIES)}=${encodeURIComponent(anyOf(draw, values))}`;
  return `${base}?${draw() < 0.1 ? anyOf(draw, ["%", "&&&=", "a[]=1", "\u00e4".length > 0 ? "%E4" : ""]) : query}`;
}

function oddHeaders(draw: Draw, host: string): Record<string, string> {
  return anyOf(draw, [
    { host: "evil.example" },
    { host: "a b" },
    { host: "" },
    { host: `${host}@evil.example` },
    { host, cookie: "x".repeat(7000) },
    { host, cookie: "%=%; =; a" },
    { host, "accept-language": "x".repeat(3000) },
    { host, "accept-encoding": "zstd;q=NaN, *;q=-1" },
    { host, "if-none-match": '"' },
    { host, "if-modified-since": "yesterday" },
    { host, range: "bytes=0-18446744073709551615" },
    { host, "x-script-nonce": "'unsafe-inline'" },
    { host, "x-forwarded-host": "evil.example", "x-forwarded-proto": "https" },
    { host, "content-type": "multipart/form-data; boundary=x" },
    { host, expect: "100-continue" },
  ]);
}

/** A form's fields with one to three of them odd, doubled, renamed, or gone. */
function changedFields(draw: Draw, { fields }: ShownForm): [string, string][] {
  const changed = fields.map(([name, value]): [string, string] => [
    name,
    name === "entryId" && draw() < 0.8 ? randomUUID() : value,
  ]);
  for (let count = 1 + Math.floor(draw() * 3); count > 0; count -= 1) {
    const place = Math.floor(draw() * changed.length);
    const what = draw();
    if (changed.length === 0 || what < 0.12) changed.push([anyOf(draw, NAMES), anyOf(draw, VALUES)()]);
    else if (what < 0.75) changed[place]![1] = valueFor(draw, changed[place]![0]);
    else if (what < 0.85) changed.splice(place, 1);
    else if (what < 0.95) changed.push([changed[place]![0], anyOf(draw, VALUES)()]);
    else changed[place]![0] = anyOf(draw, NAMES);
  }
  return changed;
}

function valueFor(draw: Draw, name: string): string {
  if (name === "back" && draw() < 0.7) return anyOf(draw, BACKS);
  return anyOf(draw, VALUES)();
}

/** The same fields as a form with files: a calendar, a picture, or a plan that is none. */
function multipart(
  draw: Draw,
  fields: readonly (readonly [string, string])[],
  headers: Readonly<Record<string, string>>,
) {
  const boundary = "edge-of-the-soak";
  const file = `BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\n${[0, 1, 2].map(() => anyOf(draw, CALENDAR_LINES)).join("\r\n")}\r\nEND:VEVENT\r\nEND:VCALENDAR`;
  const parts = [
    ...fields.map(([name, value]) => `name="${name.replaceAll(/["\r\n]/g, "")}"\r\n\r\n${value}`),
    `name="${anyOf(draw, ["calendar", "file", "picture", "plan"])}"; filename="x"\r\nContent-Type: text/calendar\r\n\r\n${anyOf(draw, [file, "{", "\u0000", "[]", '{"lots":{}}'])}`,
  ];
  const end = draw() < 0.9 ? `--${boundary}--\r\n` : "";
  const body = `${parts.map((part) => `--${boundary}\r\nContent-Disposition: form-data; ${part}\r\n`).join("")}${end}`;
  return { headers: { ...headers, "content-type": `multipart/form-data; boundary=${boundary}` }, body };
}
