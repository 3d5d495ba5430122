import fc from "fast-check";
import { expect, test } from "vitest";
import { type RunEvent, runProgress } from "#core/day/run/run-progress.ts";

const minute = (value: number) => value * 60_000;
const event = (kind: RunEvent["kind"], at: number): RunEvent => ({ kind, at: minute(at) });
const birdsEvery = (minutes: number, count: number, from = 10) =>
  Array.from({ length: count }, (_, bird) => event("bird", from + bird * minutes));

test("twenty more birds at five minutes each are done in a hundred minutes", () => {
  const progress = runProgress([event("start", 0), ...birdsEvery(5, 11)], 31, minute(60));
  expect(progress).toMatchObject({ state: "running", done: 11, toGo: 20 });
  expect(progress.doneAt?.value).toBe(minute(160));
});

test("a pause is left out of the pace", () => {
  const before = birdsEvery(5, 3);
  const after = birdsEvery(5, 3, 55);
  const events = [event("start", 0), ...before, event("pause", 20), event("resume", 50), ...after];
  const progress = runProgress(events, 7, minute(65));
  expect(progress.pausedMinutes).toBe(30);
  expect(progress.doneAt?.value).toBe(minute(70));
});

test("while the line is paused the end moves with the clock", () => {
  const events = [event("start", 0), ...birdsEvery(5, 3), event("pause", 20)];
  const at = (now: number) => runProgress(events, 5, minute(now));
  expect(at(30).state).toBe("paused");
  expect(at(40).doneAt!.value - at(30).doneAt!.value).toBe(minute(10));
});

test("a bird that is late takes at least as long as it has taken", () => {
  const progress = runProgress([event("start", 0), ...birdsEvery(5, 3)], 5, minute(40));
  expect(progress.doneAt?.value).toBe(minute(45));
});

test("the pace follows the last ten birds, and events may come in any order", () => {
  const events = [event("start", 0), ...birdsEvery(10, 5), ...birdsEvery(4, 11, 60)];
  expect(runProgress(events.toReversed(), 17, minute(100)).doneAt?.value).toBe(minute(104));
});

test("one bird gives no pace, and a day that is done or finished has no end to come", () => {
  expect(runProgress([event("start", 0), event("bird", 5)], 3, minute(6)).doneAt).toBeUndefined();
  expect(runProgress([event("start", 0), ...birdsEvery(5, 3)], 3, minute(30)).doneAt).toBeUndefined();
  const finished = runProgress([event("start", 0), ...birdsEvery(5, 2), event("finish", 30)], 3, minute(60));
  expect(finished).toMatchObject({ state: "finished", toGo: 1, doneAt: undefined });
});

test("a bird more than planned is one more done, not minus one to go", () => {
  expect(runProgress([event("start", 0), ...birdsEvery(5, 4)], 3, minute(30))).toMatchObject({
    done: 4,
    toGo: 0,
  });
});

test("whatever is tapped, birds are counted, no pause is longer than the day, and the end is never behind the clock", () => {
  const kinds = ["start", "bird", "bird", "bird", "pause", "resume", "note", "finish"] as const;
  const anyEvent = fc.record({
    kind: fc.constantFrom(...kinds),
    at: fc.integer({ min: 0, max: minute(600) }),
  });
  const later = minute(90);
  fc.assert(
    fc.property(fc.array(anyEvent, { maxLength: 40 }), fc.integer({ min: 1, max: 30 }), (events, planned) => {
      const now = minute(600);
      const progress = runProgress(events, planned, now);
      const birds = events.filter(({ kind }) => kind === "bird").length;
      expect(progress).toMatchObject({ done: birds, toGo: Math.max(0, planned - birds) });
      expect(progress.pausedMinutes).toBeGreaterThanOrEqual(0);
      expect(progress.pausedMinutes).toBeLessThanOrEqual(600);
      if (progress.doneAt) expect(progress.doneAt.value).toBeGreaterThanOrEqual(now);
      // The same day an hour and a half later, and told in another order, says the same so much later.
      const moved = events.map(({ kind, at }) => ({ kind, at: at + later }));
      const again = runProgress(moved, planned, now + later);
      expect(again.state).toBe(progress.state);
      expect(again.pausedMinutes).toBeCloseTo(progress.pausedMinutes, 9);
      if (progress.doneAt) expect(again.doneAt!.value - progress.doneAt.value).toBeCloseTo(later, 3);
      const times = new Set(events.map(({ at }) => at));
      if (times.size === events.length)
        expect(runProgress(events.toReversed(), planned, now)).toEqual(progress);
    }),
  );
});
