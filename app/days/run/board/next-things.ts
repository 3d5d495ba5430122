import type { Post } from "#app/days/run/post/use-post.ts";
import { MARK_WORDS, MILESTONE_POST_WORDS, moveWords } from "#app/words/run-words.ts";
import { plural, type Show } from "#app/words/show.ts";
import { HOUR, MINUTE } from "#core/calendar/milliseconds.ts";
import { CHILL } from "#core/chill/chill-constants.ts";
import { feedOffOf } from "#core/day/run/feed-off-of.ts";
import { marksNow } from "#core/day/run/marks-now.ts";
import { tanksNow } from "#core/day/run/tanks-now.ts";
import { weatherWhile } from "#core/sky/hourly-weather.ts";

/** Something to do next, and why. */
export interface Next {
  readonly title: string;
  readonly line: string;
  readonly isUrgent: boolean;
}

/** What is to be done of a running day: what is urgent first, then what saves most. */
export function nextThings(post: Post, show: Show): Next[] {
  const { state } = post.progress;
  if (state === "not-started" || state === "finished") return [];
  const things = [weather, warmTanks, room, ice, moves, feedWindow, marks, light, silence].flatMap((of) =>
    of(post, show),
  );
  return things.toSorted((one, other) => Number(other.isUrgent) - Number(one.isUrgent));
}

type Things = (post: Post, show: Show) => Next[];

const WEATHER_AHEAD = 3 * HOUR;

/** Thunder or rain that comes before the work is done. */
const weather: Things = ({ reading, forecast, now }, show) => {
  const until = Math.min(forecast?.allDone?.likelyAt ?? now, now + WEATHER_AHEAD);
  const ahead = weatherWhile(reading.hours, now, until);
  if (ahead?.stormFrom !== undefined)
    return [
      {
        title: ahead.stormFrom <= now ? "Thunder is forecast" : `Thunder from ${show.time(ahead.stormFrom)}`,
        line: "Leave metal and water, switch off what is electric, and put out the burner.",
        isUrgent: true,
      },
    ];
  // Rain that falls already needs no board.
  if (ahead?.wetFrom === undefined || ahead.wetFrom <= now) return [];
  const line = "Get the table and every plug under a roof. Wet birds scald poorly.";
  return [{ title: `Rain from ${show.time(ahead.wetFrom)}`, line, isUrgent: false }];
};

const warmTanks: Things = ({ facts }, show) =>
  tanksNow(facts, 1).flatMap(({ number, temperature }) =>
    temperature && temperature.celsius > CHILL.targetCelsius
      ? [
          {
            title: `Ice into tank ${number}`,
            line: `It was ${show.temperature(temperature.celsius)} at ${show.time(temperature.at)}. Stir it, and read it again.`,
            isUrgent: true,
          },
        ]
      : [],
  );

const room: Things = ({ forecast, now }, show) => {
  const full = forecast?.tankFullAt;
  return full !== undefined && full - now < 30 * MINUTE
    ? [{ title: "Make room in the tanks", line: `Likely full at ${show.time(full)}.`, isUrgent: true }]
    : [];
};

const ice: Things = ({ forecast, now }, show) => {
  const outAt = forecast?.ice?.outAt;
  return outAt === undefined
    ? []
    : [
        {
          title: "Get more ice",
          line: `What is on hand is gone about ${show.time(outAt)}.`,
          isUrgent: outAt - now < HOUR,
        },
      ];
};

const moves: Things = ({ forecast }, show) =>
  (forecast?.moves ?? []).map(({ move, savedMinutes }) => ({
    title: moveWords(move, (minute) => show.time((forecast?.originAt ?? 0) + minute * MINUTE)),
    line: `Done about ${show.minutes(Math.round(savedMinutes))} sooner, and within everybody's rules.`,
    isUrgent: false,
  }));

/** Birds that would be killed after their feed window has ended. */
const feedWindow: Things = ({ reading, facts, forecast, now }, show) => {
  const lot = reading.lots.at(-1);
  const pulledAt = lot && (feedOffOf(facts, lot) ?? lot.feedOffAt);
  if (pulledAt === undefined || !lot || forecast?.lastKillAt === undefined) return [];
  const endsAt = pulledAt + lot.windowHours * HOUR;
  if (forecast.lastKillAt <= endsAt || forecast.lastKillAt <= now) return [];
  return [
    {
      title: `Feed window ends ${show.time(endsAt)}`,
      line: `The last bird is killed about ${show.time(forecast.lastKillAt)}: empty guts tear more easily.`,
      isUrgent: false,
    },
  ];
};

const marks: Things = ({ facts }) => {
  const { hints, marks: counts, birds } = marksNow(facts);
  return hints.slice(0, 1).map((mark) => ({
    title: `${MARK_WORDS[mark].name}: ${counts[mark]} of ${plural(birds, "bird")}`,
    line: MARK_WORDS[mark].hint,
    isUrgent: false,
  }));
};

const light: Things = ({ reading, forecast }, show) =>
  forecast?.allDone && reading.sunsetAt && forecast.allDone.nineInTenAt > reading.sunsetAt
    ? [
        {
          title: "Bring lamps",
          line: `Sunset is at ${show.time(reading.sunsetAt)}, before all work is done.`,
          isUrgent: false,
        },
      ]
    : [];

const silence: Things = ({ forecast }) =>
  (forecast?.silent ?? []).slice(0, 1).map((milestone) => ({
    title: `Ask at ${MILESTONE_POST_WORDS[milestone]}`,
    line: "No tap for a while. Is its phone still there, or is the work?",
    isUrgent: false,
  }));
