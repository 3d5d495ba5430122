import BetterSqlite3, { type Database } from "better-sqlite3";

/** What is yes or no, by the name a row gives it: its column holds 1 or 0. */
const YES_OR_NO: ReadonlySet<string> = new Set([
  "arePensLit",
  "canCome",
  "canFreeze",
  "coolsAfter",
  "found",
  "hasFan",
  "isHomeCook",
  "isRainExpected",
  "isSkinned",
  "isStored",
  "isVoid",
  "isRemoved",
  "isScalderInsulated",
  "isScalderLidded",
  "keepsFeet",
  "keepsGiblets",
  "lifts",
  "mustBeBooked",
  "packsSameDay",
  "rinsesFirst",
  "scalds",
  "settled",
  "stored",
  "taken",
  "usesKnives",
  "usesOwnDays",
]);

/**
 * Opens a data file so that its rows are as the rest of the house has them: undefined where a column holds NULL, and true
 * or false where it holds yes or no. What is bound is turned back the same way. Nothing else knows of either.
 */
export function plainDatabase(path: string): Database {
  const database = new BetterSqlite3(path);
  const prepare = database.prepare.bind(database);
  database.prepare = ((sql: string) => {
    const statement = prepare(sql);
    return {
      get: (...bound: unknown[]) => fromRow(statement.get(...bound.map(toBound))),
      all: (...bound: unknown[]) => statement.all(...bound.map(toBound)).map(fromRow),
      run: (...bound: unknown[]) => statement.run(...bound.map(toBound)),
    };
  }) as unknown as Database["prepare"];
  return database;
}

function fromRow(row: unknown): unknown {
  if (typeof row !== "object" || row === null) return row;
  const values = row as Record<string, unknown>;
  for (const name of Object.keys(values)) {
    if (values[name] === null) values[name] = undefined;
    else if (YES_OR_NO.has(name)) values[name] = values[name] === 1;
  }
  return values;
}

function toBound(bound: unknown): unknown {
  if (bound === undefined) return null;
  if (typeof bound === "boolean") return bound ? 1 : 0;
  if (typeof bound !== "object" || bound === null || Buffer.isBuffer(bound)) return bound;
  return Object.fromEntries(Object.entries(bound).map(([name, value]) => [name, toBound(value)]));
}
