import { mediumText } from "#app/farm/history/history-detail.ts";
import type { Show } from "#app/words/show.ts";
import type { PastChange } from "#db/history/history-queries.server.ts";
import type { ChangedTable } from "#db/history/keep-changes.server.ts";

/** What each kind of entry is called, by the first word that the file keeps of it. */
const ENTRY_WORDS: Readonly<Record<string, string>> = {
  arrival: "Chicks arrived",
  batch: "Batch added",
  "batch-changed": "Batch changed",
  "batch-cost": "Batch cost",
  booking: "Booking",
  "by-product": "By-product",
  "by-product-check": "By-product checked",
  "by-product-out": "By-product taken out",
  calendar: "Calendar read",
  "call-off": "Processing day called off",
  "canning-load": "Canning load",
  "canning-process": "Canning process",
  "change-of-plan": "Plan changed during the day",
  container: "Container",
  customer: "Customer",
  "cut-plan": "Birds chosen to cut up",
  "cut-up-some": "Packs cut up",
  "cutting-scheme": "Cutting list",
  day: "Processing day scheduled",
  "day-cost": "Day cost",
  "device-address": "Device address",
  event: "Tap on the day",
  feed: "Feed bought",
  "feed-left": "Feed left over",
  "feed-move": "Feed moved",
  "feed-opened": "Feed opened",
  invitation: "Join code made",
  joined: "Phone joined",
  kit: "Equipment",
  "label-print": "Labels printed",
  "label-template": "Label layout",
  lot: "Lot added to a day",
  "lot-share": "Birds shared among households",
  loss: "Birds lost",
  mark: "Date on the calendar",
  note: "Note",
  order: "Order",
  "order-closed": "Order closed",
  "order-line": "Product added to an order",
  out: "Packs taken out",
  owner: "Owner of birds",
  "pack-mark": "Pack measured",
  "pack-move": "Packs moved",
  "pack-redo": "Packs made over",
  "pack-version": "Pack corrected",
  packs: "Packed",
  passphrase: "Passphrase set",
  past: "Past batch",
  payment: "Payment",
  "pen-move": "Birds moved between pens",
  person: "Person added",
  "person-changed": "Person changed",
  "person-day": "Day a person can or can't come",
  picture: "Picture",
  pin: "Birds pinned to a day",
  place: "Place added",
  "place-switch": "Place switched on or off",
  price: "Price",
  product: "Product",
  return: "Pack returned",
  "rest-fact": "Rest: something done",
  "rest-program": "Rest program",
  sale: "Sale",
  settle: "Day settled",
  "shop-price": "Price seen in a shop",
  size: "Size asked for",
  spell: "Weather",
  supply: "Supply",
  "supply-move": "Supply bought, used, or counted",
  task: "Task done",
  weighings: "Birds weighed",
};

/** What kind of thing was entered. */
export const entryWords = (kind: string): string => ENTRY_WORDS[kind] ?? "Entry";

/** Whether the history has words of its own for a kind of entry. */
export const hasEntryWords = (kind: string): boolean => kind in ENTRY_WORDS;

const TABLE_WORDS: Readonly<Record<ChangedTable, string>> = {
  farm: "Farm settings",
  season_setting: "Season rules",
  batch: "Batch",
  storage_place: "Place",
  person: "Person",
  product: "Product",
  customer: "Customer",
  processing_day: "Processing day",
  day_lot: "Lot of a day",
};

/** What was changed, with its name where it has one. */
export function changedThing({ table, before }: Pick<PastChange, "table" | "before">): string {
  const name = before.name ?? before.processed_on;
  return name === undefined || table === "farm" ? TABLE_WORDS[table] : `${TABLE_WORDS[table]}: ${name}`;
}

export interface ChangedValue {
  readonly what: string;
  readonly before: string;
  readonly after: string;
}

/** Each value that differs, in words and in the farm's units. */
export function changedValues(
  { before, after }: Pick<PastChange, "before" | "after">,
  show: Show,
): ChangedValue[] {
  return Object.keys(after)
    .filter((column) => before[column] !== after[column])
    .map((column) => ({
      what: columnWords(column),
      before: valueWords(column, before[column], show),
      after: valueWords(column, after[column], show),
    }));
}

/** How columns of a unit end, and how a value of theirs is shown. */
const UNITS: readonly {
  readonly end: RegExp;
  readonly words: (value: number, show: Show) => string;
}[] = [
  { end: /_cents$/, words: (value, show) => show.money(value) },
  { end: /_milligrams$/, words: (value, show) => show.bulk(value) },
  { end: /_millicelsius$/, words: (value, show) => show.temperature(value / 1000) },
  { end: /_at$/, words: (value, show) => show.dateTime(value) },
  {
    end: /^(?:is|has|uses|keeps|can|lifts|scalds|packs|rinses|cools|must)(?:_|$)/,
    words: (value) => (value === 0 ? "no" : "yes"),
  },
  { end: /_permille$/, words: (value) => `${value / 10} %` },
  { end: /_percent$/, words: (value) => `${value} %` },
];

const TRAILING_UNIT = /_(?:cents|milligrams|millicelsius|permille|percent|count)$/;

/** `cone_count` as "Cone count" would be a programmer's word: the unit is in the value. */
function columnWords(column: string): string {
  const words = column.replace(TRAILING_UNIT, "").replaceAll("_", " ");
  return words.charAt(0).toUpperCase() + words.slice(1);
}

function valueWords(column: string, value: string | number | null | undefined, show: Show): string {
  if (value === null || value === undefined || value === "") return "nothing";
  if (typeof value === "string") return mediumText(value);
  const unit = UNITS.find(({ end }) => end.test(column));
  return unit ? unit.words(value, show) : show.count(value);
}

/** The device that something came from. */
export const deviceWords = (name: string | undefined): string => name ?? "this computer";
