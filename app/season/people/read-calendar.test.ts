import { describe, expect, test } from "vitest";
import { calendarFile } from "#app/season/calendar/write-calendar.server.ts";
import { readCalendar } from "#workers/calendar/read-calendar.ts";

const ASKED = { from: "2026-09-17", to: "2026-12-31", timeZone: "America/New_York" };
const calendar = (...events: string[][]) =>
  ["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//test//EN"]
    .concat(events.flatMap((lines, index) => ["BEGIN:VEVENT", `UID:${index}`, ...lines, "END:VEVENT"]))
    .concat("END:VCALENDAR")
    .join("\r\n");
const days = (...events: string[][]) => {
  const reading = readCalendar(calendar(...events), ASKED);
  return reading.ok ? reading.busy.map(({ onDay }) => onDay) : reading.problem;
};

describe("a calendar makes days busy", () => {
  test("whole days, of which the last is not counted", () => {
    expect(days(["DTSTART;VALUE=DATE:20261003", "DTEND;VALUE=DATE:20261005", "SUMMARY:away"])).toEqual([
      "2026-10-03",
      "2026-10-04",
    ]);
  });

  test("times in another zone, told on the farm's clock", () => {
    // 14:00 in London is 09:00 at the farm; 01:00 UTC of the 11th is the evening of the 10th, after work.
    expect(
      days(["DTSTART;TZID=Europe/London:20261010T140000", "DTEND;TZID=Europe/London:20261010T150000"]),
    ).toEqual(["2026-10-10"]);
    expect(days(["DTSTART:20261011T010000Z", "DTEND:20261011T020000Z"])).toEqual([]);
    expect(days(["DTSTART:20261010T130000Z", "DTEND:20261010T140000Z"])).toEqual(["2026-10-10"]);
  });

  test("times on no zone's clock are the farm's", () => {
    expect(days(["DTSTART:20261010T080000", "DTEND:20261010T090000"])).toEqual(["2026-10-10"]);
    expect(days(["DTSTART:20261010T180000", "DTEND:20261010T190000"])).toEqual([]);
  });

  test("events that repeat, from years ago, with days left out", () => {
    expect(
      days([
        "DTSTART;TZID=America/New_York:20200104T090000",
        "DTEND;TZID=America/New_York:20200104T110000",
        "RRULE:FREQ=WEEKLY;BYDAY=SA;UNTIL=20261025T000000Z",
        "EXDATE;TZID=America/New_York:20261010T090000",
      ]),
    ).toEqual(["2026-09-19", "2026-09-26", "2026-10-03", "2026-10-17", "2026-10-24"]);
  });

  test("an event of a zone that only its own file describes", () => {
    const zone = [
      "BEGIN:VTIMEZONE",
      "TZID:Valley Time",
      "BEGIN:STANDARD",
      "DTSTART:19700101T000000",
      "TZOFFSETFROM:-1000",
      "TZOFFSETTO:-1000",
      "END:STANDARD",
      "END:VTIMEZONE",
    ];
    // 22:00 ten hours behind UTC is 04:00 at the farm the next morning, before work; 03:00 is 09:00.
    const event = (time: string) =>
      calendar([`DTSTART;TZID=Valley Time:20261010T${time}`, "DURATION:PT1H"]).replace(
        "BEGIN:VEVENT",
        `${zone.join("\r\n")}\r\nBEGIN:VEVENT`,
      );
    const busy = (text: string) => {
      const reading = readCalendar(text, ASKED);
      return reading.ok && reading.busy.map(({ onDay }) => onDay);
    };
    expect(busy(event("220000"))).toEqual([]);
    expect(busy(event("030000"))).toEqual(["2026-10-10"]);
  });

  test("not what is marked as free or called off", () => {
    const event = ["DTSTART;VALUE=DATE:20261003"];
    expect(days([...event, "TRANSP:TRANSPARENT"], [...event, "STATUS:CANCELLED"])).toEqual([]);
  });
});

test.each([
  ["not a calendar at all", "not-a-calendar"],
  ["BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nDTSTART:soon", "not-a-calendar"],
  ["BEGIN:VCARD\r\nVERSION:3.0\r\nEND:VCARD", "not-a-calendar"],
  ["", "not-a-calendar"],
  [calendar(), "no-events"],
])("%j is answered in words", (text, problem) => {
  expect(readCalendar(text, ASKED)).toEqual({ ok: false, problem });
});

test("what we write keeps its id when its day moves, so that calendars change it instead of doubling it", () => {
  const task = {
    uid: "entry-1.feed-off",
    revision: 1,
    title: "Pull the feed",
    why: "first bird off feed 8 to 12 h; leave the water",
    at: Date.UTC(2026, 9, 2, 23, 30),
    minutes: 15,
    who: "Maren",
    dayId: 1,
    processedOn: "2026-10-03",
  };
  const first = calendarFile("Low Gate", [task], 0);
  const moved = calendarFile("Low Gate", [{ ...task, revision: 2, at: task.at + 14 * 86_400_000 }], 0);
  expect(first).toContain("UID:entry-1.feed-off");
  expect(moved).toContain("UID:entry-1.feed-off");
  expect(first).toContain("DESCRIPTION:Maren. first bird");
  expect(first).toContain("SEQUENCE:1");
  expect(moved).toContain("SEQUENCE:2");
  expect(moved).toContain("DTSTART:20261016T233000Z");
});
