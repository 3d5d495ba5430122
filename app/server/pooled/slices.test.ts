import { afterAll, afterEach, expect, test, vi } from "vitest";
import { pooled, readWithPool } from "#app/server/pooled/pooled.server.ts";
import { mapInSlices } from "#app/server/pooled/slices.server.ts";
import { pagePool } from "#app/server/work-pool.server.ts";
import { ORDINARY_DAY } from "#core/processing-line/line-days-of-tests.ts";
import { limitOfLine } from "#workers/line/planned-day.ts";

const stays = new AbortController().signal;
const LIST = [1, 2, 3, 4, 5, 6];

afterEach(() => vi.restoreAllMocks());
afterAll(() => pagePool().close());

/** Each look at the clock is 10 ms after the one before, so that two things are read in a slice. */
function slowClock(): void {
  let now = 0;
  vi.spyOn(performance, "now").mockImplementation(() => {
    now += 10;
    return now;
  });
}

test("a long list is read in slices between which others have their turn, and anew where the file changed", async () => {
  slowClock();
  const read: number[] = [];
  let state = "before";
  let turns = 0;
  const reading = readWithPool(stays, () =>
    mapInSlices({ state: () => state }, "list", LIST, (item) => {
      read.push(item);
      return 2 * item;
    }),
  );
  setImmediate(() => {
    state = "after";
    turns += 1;
  });
  expect(await reading).toEqual(LIST.map((item) => 2 * item));
  expect(turns).toBe(1);
  expect(read).toEqual([1, 2, 1, 2, 3, 4, 5, 6]);
});

test("what the pool answers for a list is asked for while the list is read on", async () => {
  slowClock();
  const limit = pooled("limit-of-line", limitOfLine, 10);
  const day = (cones: number) => ({ ...ORDINARY_DAY, kit: { ...ORDINARY_DAY.kit, cones } });
  const read = await readWithPool(stays, () =>
    mapInSlices({ state: () => "as it is" }, "list", LIST, (cones) => limit(day(cones))),
  );
  expect(read).toEqual(LIST.map((cones) => limitOfLine(day(cones))));
});

test("whoever has left is read nothing more", async () => {
  slowClock();
  const leaves = new AbortController();
  const read: number[] = [];
  const reading = readWithPool(leaves.signal, () =>
    mapInSlices({ state: () => "as it is" }, "list", LIST, (item) => read.push(item)),
  );
  leaves.abort();
  await expect(reading).rejects.toThrow("nobody waits");
  expect(read).toEqual([1, 2]);
});

test("a list is read to its end even while the file is written to all the time", async () => {
  slowClock();
  let writes = 0;
  const file = { state: () => String(writes) };
  const list = await readWithPool(stays, () => {
    writes += 1;
    return mapInSlices(file, "list", LIST, (item) => item);
  });
  expect(list).toEqual(LIST);
});
