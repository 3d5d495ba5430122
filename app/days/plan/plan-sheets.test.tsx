import { describe, expect, test } from "vitest";
import { ChillSheet } from "#app/days/plan/chill/chill-sheet.tsx";
import { stationPages } from "#app/days/plan/line/station-words.ts";
import { PlanAnswer } from "#app/days/plan/plan-answer.tsx";
import { PlanCautions } from "#app/days/plan/plan-cautions.tsx";
import { ScaldSheet } from "#app/days/plan/scald/scald-sheet.tsx";
import { WeatherSheet } from "#app/days/plan/weather/weather-sheet.tsx";
import { WithdrawalSheet } from "#app/days/plan/withdrawal/withdrawal-sheet.tsx";
import type { AroundDay } from "#app/server/around-day.server.ts";
import { IN_KILOGRAMS, IN_POUNDS, said } from "#app/ui/said-of-tests.tsx";
import { showFor } from "#app/words/show.ts";
import { instantOf } from "#core/calendar/farm-time.ts";
import { dayNumber } from "#core/calendar/local-day.ts";
import { BASIS, CHOICES, helper, MEANS, own } from "#core/day/plan/days-of-tests.ts";
import { type PlanBasis, planForDate } from "#core/day/plan/plan-for-date.ts";
import type { DayChoices, FarmMeans } from "#core/day/plan/plan-input.ts";
import type { Station } from "#core/processing-line/line-station.ts";

const DAY = "2026-09-19";
const HOUR = 3_600_000;
const STRONG = { ...MEANS.scalder, powerWatts: own(9000), circuit: undefined };

function at(time: string): number {
  const instant = instantOf(DAY, time, BASIS.timeZone);
  if (!instant.exists) throw new Error("no such time");
  return instant.at;
}

/** A plan of a day on which nothing is wrong: a strong bath, room in the tanks and a lamp in the pens. */
function planned(
  change: Partial<DayChoices> = {},
  means: Partial<FarmMeans> = {},
  basis: Partial<PlanBasis> = {},
) {
  const all = { ...BASIS, ...basis, means: { ...MEANS, scalder: STRONG, ...means } };
  const choices = { ...CHOICES, startAt: at("07:00"), birds: 20, breakMinutes: 0, ...change };
  return { basis: all, planned: planForDate(all, DAY, choices) };
}

const seat = (name: string, stations: readonly Station[]) => ({ personId: undefined, name, stations });

describe("what is wrong with a plan", () => {
  const cautions = (of: ReturnType<typeof planned>, now = 0, reading = IN_POUNDS) =>
    said(<PlanCautions planned={of.planned} choices={of.planned.choices} at={now} />, reading);

  test("is nothing on a day that goes well", () => {
    expect(cautions(planned())).toBe("");
  });

  test("is a young person at a blade, who works there only with an adult beside them", () => {
    const child = helper(1, { name: "Wren", bornYear: 2013, besideAdult: ["feet"] });
    const crew = [
      { ...seat("Wren", ["feet", "pins"]), personId: 1 },
      seat("Maren", ["gut", "rinse", "giblets"]),
    ];
    const front = seat("Tobias", ["cones", "scald", "pluck"]);
    const words = cautions(planned({ people: 3, crew: [...crew, front] }, {}, { helpers: [child] }));
    expect(words).toContain("Wren works at feet and heads only with Maren beside them.");
    expect(words).not.toContain("No one is at");
  });

  test("is a station without anybody, and whether anybody who comes may stand there", () => {
    const front = seat("Tobias", ["cones", "scald", "pluck"]);
    const back = seat("Oskar", ["pins", "rinse", "giblets"]);
    expect(cautions(planned({ people: 2, crew: [front, back] }))).toContain(
      "No one is at evisceration. Move someone there, or add a helper.",
    );
    const child = helper(1, { name: "Juno", bornYear: 2015 });
    const alone = planned(
      { people: 1, crew: [{ ...seat("Juno", ["pins"]), personId: 1 }] },
      {},
      {
        helpers: [child],
      },
    );
    expect(cautions(alone)).toContain("No one coming may work at cones. Add a helper who may");
    expect(cautions(alone)).toContain("No one coming may work at evisceration.");
    expect(cautions(alone)).not.toContain("may stand at rinse");
  });

  test("is an element that its breaker can't carry, in amps", () => {
    const circuit = { volts: 120, breakerAmps: 15 };
    const weak = planned({}, { scalder: { ...STRONG, powerWatts: own(2000), circuit } });
    // 2,000 W over 120 V, and a quarter more for hours of it.
    expect(cautions(weak)).toContain("The element needs 20.8 A and the breaker is 15 A. Use another circuit");
  });

  test("is water that never gets hot enough, in the farm's degrees", () => {
    const cold = planned({}, { scalder: { ...STRONG, powerWatts: own(300) } });
    expect(cautions(cold)).toMatch(
      /The water never gets hot enough\. At this power it levels off at [\d.]+ °F/,
    );
    expect(cautions(cold, 0, IN_KILOGRAMS)).toMatch(/levels off at [\d.]+ °C/);
  });

  test("is the dark, where clean-up ends after sunset", () => {
    const late = planned({ startAt: at("16:30") });
    expect(cautions(late)).toMatch(/It gets dark\. Cleanup ends at \d+:\d\d PM; sunset is at 6:49 PM/);
    expect(cautions(planned({ startAt: at("10:00") }))).not.toContain("dark");
  });

  test("is the feed's hour gone by, until the first bird is killed", () => {
    const day = planned();
    const words = "The time to pull the feed has passed: ";
    expect(cautions(day, at("07:00") - HOUR)).toContain(words);
    expect(cautions(day, at("07:00") - 12 * HOUR)).not.toContain(words);
    expect(cautions(day, at("07:00") + HOUR)).not.toContain(words);
  });

  test("is birds outside the window, as a count and never a percentage", () => {
    const slow = planned({ birds: 58, people: 2 });
    const { tooShort, tooLong } = slow.planned.plan.withdrawal.share;
    expect(tooShort + tooLong).toBeGreaterThan(0);
    expect(cautions(slow)).toContain(`${tooShort + tooLong} birds of 58 outside the withdrawal window:`);
    expect(cautions(slow)).not.toContain("%");
  });

  test("is tanks that must be filled again, or that hold no bird at all", () => {
    const small = planned({}, { tankLiters: own(60) });
    const { birdsThatFit, fillsNeeded } = small.planned.plan.chill.tank;
    expect(cautions(small)).toContain(`The tanks hold ${birdsThatFit.value}.`);
    expect(cautions(small)).toContain(`fill them ${fillsNeeded} times`);
    expect(fillsNeeded).toBe(Math.ceil(20 / birdsThatFit.value));
    expect(cautions(planned({}, { tankLiters: own(2) }))).toContain("too small for a single bird");
  });
});

describe("the answer", () => {
  test("gives hours by the farm's clock and temperatures in its degrees", () => {
    const { line, scald } = planned().planned.plan;
    const show = showFor(IN_POUNDS);
    const us = said(<PlanAnswer planned={planned().planned} />);
    expect(us).toContain(`9 in 10 by ${show.time(line.nineInTenAt.value)}`);
    expect(us).toContain("140 °F");
    expect(us).toContain("Heavy bird below 40 °F");
    expect(scald.bath.value).toBe(60);
    const metric = said(<PlanAnswer planned={planned().planned} />, IN_KILOGRAMS);
    expect(metric).toContain("60 °C");
    expect(metric).toContain("Heavy bird below 4.4 °C");
    expect(metric).toContain("skin tears after 67 °C");
  });
});

describe("the sheet of the feed", () => {
  const sheet = (of: ReturnType<typeof planned>) =>
    said(<WithdrawalSheet planned={of.planned} startAt={at("07:00")} centsPerKilogram={1000} />);

  test("says of a short day that all are inside, and counts those who are not on a long one", () => {
    expect(sheet(planned())).toContain("All 20 within the window.");
    const slow = planned({ birds: 58, people: 2 });
    const { tooShort, tooLong } = slow.planned.plan.withdrawal.share;
    const words = [tooShort > 0 && `${tooShort} too full`, tooLong > 0 && `${tooLong} off feed too long`];
    expect(sheet(slow)).toContain(`${words.filter(Boolean).join(", ")}, of 58.`);
  });

  test("prices the meat that each school loses, and names the pens of each walk", () => {
    const pens = [
      { name: "East", birds: 8 },
      { name: "West", birds: 12 },
    ];
    const day = planned({}, {}, { pens, aliveBirds: 20 });
    const { methods, visits } = day.planned.plan;
    const overnight = methods.find(({ method }) => method === "overnight")!;
    // A kilogram of meat brings 10.00.
    expect(sheet(day)).toContain(showFor(IN_POUNDS).money(Math.round(overnight.tissueKilograms * 1000)));
    expect(sheet(day)).toContain("1 visit: all Fri ");
    if (visits.length > 1) expect(sheet(day)).toMatch(/2 visits: East \w{3} \d+:\d\d [AP]M; West/);
    expect(sheet(day)).toContain("20 birds in 2 crates");
  });
});

describe("the sheet of the scald", () => {
  const sheet = (of: ReturnType<typeof planned>) =>
    said(<ScaldSheet planned={of.planned} scalder={of.basis.means.scalder} />);

  test("warns of what the heat can do: a dry element, or gas indoors", () => {
    expect(sheet(planned())).toContain("Never power an element that is not fully under water");
    const gas = sheet(planned({}, { scalder: { ...STRONG, heat: "propane" } }));
    expect(gas).toContain("Use gas burners outdoors only: carbon monoxide.");
    expect(gas).not.toContain("element");
    expect(gas).toMatch(/Propane: [\d.]+ lb/);
  });

  test("says from which bird on a weak bath is too cool, and what would be enough", () => {
    const scalder = { ...STRONG, powerWatts: own(1300) };
    const weak = planned({ birds: 40, people: 8, tablePlaces: 4 }, { scalder });
    const { failsAtBird, remedies } = weak.planned.plan.bath;
    const words = sheet(weak);
    expect(words).toContain(`from bird ${failsAtBird} on, the water is too cool`);
    expect(words.match(/, (not )?enough/g) ?? []).toHaveLength(remedies.length - 1);
    expect(words).toMatch(/More power: [\d.]+ kW total, on a circuit rated for it/);
    expect(sheet(planned())).not.toContain("can't keep up");
  });

  test("says what each change of the water costs", () => {
    expect(sheet(planned())).not.toContain("Water changed");
    expect(sheet(planned({ changeWaterBirds: 8 }))).toMatch(
      /Water changed 2 times: the scald stops for .+ each, and [\d.]+ kWh of heat/,
    );
  });
});

const AROUND: AroundDay = {
  places: [{ name: "Kitchen", capacity: 30, stored: 4, canFreeze: false }],
  others: [],
  restDays: 1,
  weather: [],
  centsPerKilogram: 1000,
  at: 0,
};

describe("the sheet of the chill", () => {
  const sheet = (of: ReturnType<typeof planned>, around: Partial<AroundDay> = {}) =>
    said(<ChillSheet {...of} around={{ ...AROUND, ...around }} processedOn={DAY} />);

  test("says how many bags are short and about when the ice runs out", () => {
    const { bags } = planned().planned.plan.chill;
    const short = planned({}, {}, { iceBagsInStock: bags.value - 2 });
    expect(sheet(short)).toMatch(/The ice runs out at about \d+:\d\d [AP]M\. There is 1 bag for this day,/);
    expect(sheet(short)).toContain(`which needs ${bags.value}. Buy 2 bags more`);
    expect(sheet(planned({}, {}, { iceBagsInStock: bags.value }))).not.toContain("runs out");
    expect(sheet(planned())).not.toContain("runs out");
  });

  test("says when the tanks are full and when the first place is free again", () => {
    expect(sheet(planned())).toContain("so all 20 fit at once");
    const small = planned({}, { tankLiters: own(60) });
    const { tanks } = small.planned.plan;
    const clock = (minute: number) => showFor(IN_POUNDS).time(at("07:00") + minute * 60_000);
    expect(sheet(small)).toContain(`are full at about ${clock(tanks.fullMinute!)}`);
    expect(sheet(small)).toContain(`The first bird is cold at about ${clock(tanks.firstColdMinute)}`);
  });

  test("says where the birds rest, less those for another day, and what to do where there is no room", () => {
    expect(sheet(planned())).toContain("They rest until Sun, Sep 20. Free space then: Kitchen 26.");
    const others = [{ day: DAY, birds: 10, restDays: 1 }];
    expect(sheet(planned(), { others })).toContain("less 10 birds for another day");
    expect(sheet(planned(), { others })).toContain("There is room for 16 of 20 for resting.");
    const freezing = [{ name: "Barn", capacity: 40, stored: 3, canFreeze: true }];
    expect(sheet(planned(), { places: freezing })).toContain("Barn none; it is set to freeze");
    expect(sheet(planned(), { places: freezing })).toContain("There is no room for resting.");
    expect(sheet(planned(), { places: [] })).toContain("No refrigerator is listed under Freezers");
  });

  test("gives a brine by weight, and refuses one in which the salt would not dissolve", () => {
    const { brine } = planned({ brineFraction: 0.0125 }).planned.plan.chill;
    const words = sheet(planned({ brineFraction: 0.0125 }));
    expect(words).toContain(`${showFor(IN_POUNDS).value(brine!.salt.value, "kg")} of salt by weight`);
    expect(words).not.toContain("does not dissolve");
    expect(sheet(planned({ brineFraction: 0.2 }))).toContain("That much salt will not dissolve.");
    expect(sheet(planned())).not.toContain("Brine");
  });
});

describe("the sheet of the weather", () => {
  const weather = (lowCelsius: number, highCelsius: number, what?: string) => [
    {
      dayNumber: dayNumber(DAY),
      lowCelsius,
      highCelsius,
      meanCelsius: (lowCelsius + highCelsius) / 2,
      spell: what === undefined ? undefined : { fromOn: DAY, toOn: DAY, meanCelsius: 0, what },
    },
  ];
  const sheet = (days: AroundDay["weather"], change: Partial<DayChoices> = {}) =>
    said(
      <WeatherSheet
        planned={planned(change).planned}
        processedOn={DAY}
        around={{ ...AROUND, weather: days }}
      />,
    );

  test("says whose weather it is", () => {
    expect(sheet(weather(8, 18))).toContain("No forecast was entered");
    expect(sheet(weather(8, 18, "fair"))).toContain("as you entered it: fair");
    expect(sheet([])).toContain("There is no forecast this far from the day.");
  });

  test("warns of heat, storm, rain and frost, each with what to do, and of none of them on a fair day", () => {
    expect(sheet(weather(27, 36))).toContain("Too warm for crated birds from");
    expect(sheet(weather(15, 22, "thunder"))).toContain(
      "Don't work with metal, water, or wires in lightning",
    );
    expect(sheet(weather(15, 22, "rain"))).toContain("check rain under Choices to include it");
    expect(sheet(weather(15, 22, "rain"), { isRainExpected: true })).toContain("the plan includes that");
    expect(sheet(weather(-3, 8))).toContain("Frost at setup. Drain the hoses");
    const fair = sheet(weather(8, 18));
    for (const word of ["Too warm", "storm", "Rain", "Frost", "dark"]) expect(fair).not.toContain(word);
  });

  test("counts the light that is left, or says that it is dark", () => {
    expect(sheet(weather(8, 18))).toMatch(/Daylight left after a slow day's cleanup: \d+ h/);
    expect(sheet(weather(8, 18), { startAt: at("15:30") })).toMatch(
      /it is dark before cleanup is done, by .+ Start earlier, or set up waterproof lights/,
    );
  });
});

describe("the pages of the stations", () => {
  const pages = (change: Partial<DayChoices> = {}, means: Partial<FarmMeans> = {}) =>
    stationPages(planned(change, means).planned, showFor(IN_POUNDS));
  const page = (key: string, of = pages()) => of.find((one) => one.key === key)!;

  test("are those that the day needs, and the chill last", () => {
    const keys = (change: Partial<DayChoices>) => pages(change).map(({ key }) => key);
    expect(keys({ keepsGiblets: false })).toEqual([
      "cones",
      "scald",
      "pluck",
      "feet",
      "pins",
      "gut",
      "rinse",
      "chill",
    ]);
    expect(keys({ packsSameDay: true, cutUp: 20 })).toContain("seal");
    expect(keys({ packsSameDay: true, cutUp: 20 })).not.toContain("pack");
  });

  test("name who stands there first and who helps", () => {
    const crew = [
      seat("Tobias", ["cones", "scald", "pluck", "gut"]),
      seat("Maren", ["gut", "feet", "pins", "rinse", "giblets"]),
    ];
    expect(page("gut", pages({ people: 2, crew })).people).toEqual([
      { name: "Tobias", isFirst: false },
      { name: "Maren", isFirst: true },
    ]);
  });

  test("carry the day's own numbers: bath, seconds, cones, bags and the quoted hours", () => {
    const { scald, chill } = planned().planned.plan;
    expect(page("scald").lines[0]).toContain(`140 °F for ${Math.round(scald.seconds.value)} s`);
    expect(page("scald", pages({ changeWaterBirds: 15 })).lines.join()).toContain("every 15 birds");
    expect(page("cones", pages({ cones: 1 })).lines[0]).toMatch(/^1 cone\./);
    expect(page("chill").lines[0]).toContain(`${chill.bags.value} bags of ice`);
    expect(page("chill").lines.join()).toContain(`commonly quoted limit ${chill.quotedHours} h`);
    expect(page("pluck", pages({ pluckBy: "hand" })).lines[0]).toContain("By hand");
  });

  test("tell the cones of a break only where there is one, and of as many birds as the line lets in", () => {
    const words = (change: Partial<DayChoices>) => page("cones", pages(change)).lines.join(" ");
    expect(words({ breakMinutes: 30 })).toContain("No kill in the 5 min before the break");
    expect(words({})).not.toContain("break");
    // Three for each of those before the chill; who only packs lets in none.
    expect(words({ people: 4 })).toContain("At most 12 birds between cone and chill");
    const packer = seat("Pell", ["pack"]);
    expect(words({ people: 4, packsSameDay: true, crew: [packer] })).toContain("At most 9 birds");
  });
});
