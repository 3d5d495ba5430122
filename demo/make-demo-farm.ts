import { millicelsiusFromFahrenheit, milligramsFromPounds } from "#core/quantity/conversion.ts";
import type { FarmFile } from "#db/farm-file.server.ts";
import { makeDemoBatches } from "#demo/demo-batches.ts";
import { makeDemoDays } from "#demo/demo-days.ts";
import { DEMO_ZONE, type entryMaker, must, entryMaker as newEntryMaker } from "#demo/demo-file.ts";
import { makeCustomers, makeOrders } from "#demo/demo-orders.ts";
import { makeCatalog } from "#demo/demo-packs.ts";
import { makeDemoSeason } from "#demo/demo-season.ts";

/** Fills an empty file with Harrow & Lark, a made-up hill farm. All of it or nothing. */
export function makeDemoFarm(file: FarmFile): void {
  file.together(() => {
    const entry = newEntryMaker();
    makeSettings(file);
    makeKitAndPlaces(file, entry);
    makeDevices(file, entry);
    makeCatalog(file, entry);
    makeCustomers(file, entry);
    makeDemoBatches(file, entry);

    makePast(file, entry);
    makeDemoSeason(file, entry);
    makeDemoDays(file, entry);
    makeOrders(file, entry);
  });
}

function makeSettings(file: FarmFile): void {
  file.saveFarm(
    {
      name: "Harrow & Lark",
      latitudeMicrodegrees: 43_900_000,
      longitudeMicrodegrees: -71_600_000,
      timeZone: DEMO_ZONE,
      locale: "en-US",
      unitSystem: "us",
      currency: "USD",
      practice: "few",
      arePensLit: true,
      pluckAtOnceCount: 2,
      airMillicelsius: undefined,
      tapMillicelsius: millicelsiusFromFahrenheit(51),
      hourRateCents: 1600,
      birdsAYearCount: 220,
      tankMilliliters: 328_000,
      tankWall: "thick",
      chillMethod: "still",
      iceBagMilligrams: milligramsFromPounds(20),
      usesOwnDays: true,
      jugCount: 8,
      jugMilliliters: 1893,
      madeIceMilligrams: undefined,
      scalderMilliliters: 80_000,
      scalderWatts: 3000,
      scalderHeat: "electric",
      isScalderLidded: true,
      isScalderInsulated: true,
      scaldAtOnceCount: 1,
      scalderFillMillicelsius: undefined,
      circuitVolts: 240,
      breakerAmps: 20,
      altitudeMeters: 310,
      ruleForOthers: "At most 1,000 birds a year, and own birds only.",
      dayCostSharedBy: "birds",
      crateBirdsCount: 8,
      bleachBasisPoints: 750,
    },
    0,
  );
}

function makeKitAndPlaces(file: FarmFile, entry: ReturnType<typeof entryMaker>): void {
  const kit = [
    ["Four cones", 9600, { lifeYears: 10, lifeBirds: undefined }],
    ["80-liter scalding tank with its element", 31_000, { lifeYears: undefined, lifeBirds: 3000 }],
    ["Table, hose and sinks", 24_000, { lifeYears: 8, lifeBirds: undefined }],
    ["Chamber sealer", 28_500, { lifeYears: 6, lifeBirds: undefined }],
    ["Barn chest freezer", 64_900, { lifeYears: 12, lifeBirds: undefined }],
  ] as const;
  for (const [name, priceCents, life] of kit)
    must(file.addKit(entry("2026-03-01"), { name, priceCents, ...life }));
  const places = [
    ["Wash house refrigerator", "fridge", 34, true, 120],
    ["Barn chest", "freezer", 40, false, 110],
    ["House upright", "freezer", 16, false, 70],
  ] as const;
  for (const [name, kind, capacityCount, canFreeze, spareWatts] of places)
    must(file.addPlace(entry("2026-03-01"), { name, kind, capacityCount, canFreeze, spareWatts }));
}

/** The stand-ins that the demo starts; where they are not running, the farm says so and goes on by what is typed. */
function makeDevices(file: FarmFile, entry: ReturnType<typeof entryMaker>): void {
  for (const [device, port] of [
    ["bath-probe", 5281],
    ["bench-scale", 5282],
    ["label-printer", 5283],
  ] as const)
    must(file.attached.attach(entry("2026-09-01"), { device, host: "127.0.0.1", port }));
}

function makePast(file: FarmFile, entry: ReturnType<typeof entryMaker>): void {
  const past = [
    {
      name: "White 25-A",
      kind: "fast",
      finishedOn: "2025-07-12",
      dressedCount: 47,
      pounds: 249,
      live: 352,
      feed: 790,
      costCents: 52_310,
    },
    {
      name: "Red 25-B",
      kind: "slow",
      finishedOn: "2025-10-04",
      dressedCount: 38,
      pounds: 171,
      live: 251,
      feed: 720,
      costCents: 49_870,
    },
  ] as const;
  for (const { name, kind, finishedOn, dressedCount, pounds, live, feed, costCents } of past) {
    must(
      file.books.addPastBatch(entry("2026-03-02"), {
        name,
        kind,
        finishedOn,
        dressedCount,
        costCents,
        dressedMilligrams: milligramsFromPounds(pounds),
        liveMilligrams: milligramsFromPounds(live),
        feedMilligrams: milligramsFromPounds(feed),
      }),
    );
  }
}
