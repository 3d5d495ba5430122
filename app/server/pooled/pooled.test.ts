import { afterAll, expect, test } from "vitest";
import { mapWithPool, pooled, readWithPool } from "#app/server/pooled/pooled.server.ts";
import { pagePool } from "#app/server/work-pool.server.ts";
import type { LineDay } from "#core/processing-line/line-day.ts";
import { ORDINARY_DAY } from "#core/processing-line/line-days-of-tests.ts";
import { limitOfLine } from "#workers/line/planned-day.ts";

const stays = new AbortController().signal;
const cones = (count: number): LineDay => ({ ...ORDINARY_DAY, kit: { ...ORDINARY_DAY.kit, cones: count } });
const limited = () => {
  let doneHere = 0;
  const limit = pooled(
    "limit-of-line",
    (day) => {
      doneHere += 1;
      return limitOfLine(day);
    },
    10,
  );
  return { limit, doneHere: () => doneHere };
};

afterAll(() => pagePool().close());

test("a reading is begun anew for each answer, gets the same as without the pool, and does nothing in this thread", async () => {
  const { limit, doneHere } = limited();
  let begun = 0;
  const read = () => {
    begun += 1;
    return [limit(cones(3)), limit(cones(2)), limit(cones(3))];
  };
  const answers = await readWithPool(stays, read);
  expect(answers).toEqual([3, 2, 3].map((count) => limitOfLine(cones(count))));
  expect(begun).toBe(3);
  expect(doneHere()).toBe(0);
  expect(limit(cones(2))).toEqual(answers[1]);
  expect(doneHere()).toBe(0);
  limit(cones(1));
  expect(doneHere()).toBe(1);
});

test("what many things need is asked for at once, and two readings share what they ask for", async () => {
  const { limit } = limited();
  let begun = 0;
  const read = () => {
    begun += 1;
    return mapWithPool([4, 5, 4], (count) => limit(cones(count)));
  };
  const [one, other] = await Promise.all([readWithPool(stays, read), readWithPool(stays, read)]);
  expect(one).toEqual(other);
  expect(one).toEqual([4, 5, 4].map((count) => limitOfLine(cones(count))));
  expect(begun).toBe(4);
});

test("what nobody waits for any more is given up, and whoever still waits gets the answer", async () => {
  const { limit } = limited();
  const leaves = new AbortController();
  const alone = readWithPool(leaves.signal, () => limit(cones(6)));
  const left = readWithPool(leaves.signal, () => limit(cones(7)));
  const waits = readWithPool(stays, () => limit(cones(7)));
  leaves.abort();
  await expect(alone).rejects.toThrow("nobody waits");
  await expect(waits).resolves.toEqual(limitOfLine(cones(7)));
  await left;
});

test("a fault of a reading is its own", async () => {
  await expect(
    readWithPool(stays, () => {
      throw new Error("no such day");
    }),
  ).rejects.toThrow("no such day");
});
