import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import type { FarmFile } from "#db/farm-file.server.ts";

/** Every sum of money in a row has this in its name, which a test of the tables holds. */
const IS_MONEY = /cents/i;

/** A farm as those see it who see no money: what is read from its file has zero in its place, whatever page asks. */
export function withoutMoney(here: FarmContext): FarmContext {
  const { file } = here;
  const covered = covering(file);
  const withFarm: FarmFile = {
    ...covered,
    farm: () => {
      const farm = covered.farm();
      return farm && { ...farm, seesMoney: false };
    },
  };
  return { file: withFarm, now: here.now, whole: here };
}

function covering<Part extends object>(part: Part): Part {
  const entries = Object.entries(part).map(([name, value]: [string, unknown]) => {
    if (typeof value === "function") return [name, (...args: unknown[]) => zeroed(value(...args))];
    return [name, typeof value === "object" && value !== null ? covering(value) : value];
  });
  return Object.fromEntries(entries) as Part;
}

function zeroed(value: unknown): unknown {
  if (typeof value !== "object" || value === null || Buffer.isBuffer(value)) return value;
  if (Array.isArray(value)) return value.map(zeroed);
  if (value instanceof Map) return new Map([...value].map(([key, one]) => [key, zeroed(one)]));
  if (value instanceof Set) return value;
  return Object.fromEntries(
    Object.entries(value).map(([name, one]) => [
      name,
      typeof one === "number" && IS_MONEY.test(name) ? 0 : zeroed(one),
    ]),
  );
}
