import type { PlanForDate } from "#core/day/plan/plan-for-date.ts";
import type { Scalder } from "#core/day/plan/plan-input.ts";
import { NEEDS } from "#core/packing/needs-constants.ts";
import { SUPPLY_KINDS, type SupplyKind } from "#core/packing/supply-stock.ts";
import { birdsOf } from "#core/processing-line/line-day.ts";
import { normalQuantile } from "#core/quantity/normal.ts";
import { type Input, input, type Reckoning, reckoning, type Unit } from "#core/reckoning/reckoning.ts";
import type { RuleName } from "#core/reckoning/reckoning-names.ts";
import { inputSetting, type Setting } from "#core/reckoning/setting.ts";
import { bleachFor } from "#core/safety/bleach.ts";

/** Something that the farm keeps in stock. */
export interface Supply {
  readonly id: number;
  readonly name: string;
  readonly kind: SupplyKind;
  /** The heaviest dressed bird that a bag takes; undefined for what is not a bag. */
  readonly mostKilograms: number | undefined;
  /** How much is bought at once: pieces, grams or milliliters by its kind. */
  readonly packAmount: number;
  readonly packCents: number;
  /** Undefined where no one has counted. */
  readonly inStock: number | undefined;
}

/** What a day uses, counted from its birds. */
export interface DayUse {
  /** Dressed weight of each bird that stays whole. */
  readonly wholeKilograms: readonly number[];
  readonly cutBirds: number;
  /** Birds whose giblets are kept. */
  readonly gibletBirds: number;
  readonly people: number;
  readonly lineHours: number;
  readonly iceBags: number;
  readonly saltKilograms: number;
  /** Undefined where the scald is electric. */
  readonly propaneKilograms: number | undefined;
  /** Sodium hypochlorite in the bleach by weight, as its label says. */
  readonly hypochloriteFraction: Setting;
  /** More of what tears and is spoiled, share; 0 for what was used. */
  readonly spareShare: number;
}

/** What of the farm decides how much of some supplies a day uses. */
export interface SupplySettings extends Pick<DayUse, "hypochloriteFraction"> {
  readonly heat: Scalder["heat"];
}

/** So much of a thing that a day needs, against what there is. Amounts are whole pieces, grams or milliliters. */
export interface Need {
  readonly kind: SupplyKind;
  /** Undefined where the farm keeps no such thing in stock. */
  readonly supply: Supply | undefined;
  readonly amount: number;
  readonly working: Reckoning;
  /** Undefined where no one counted. */
  readonly short: number | undefined;
  /** To buy, whole packs, and what they cost. */
  readonly packs: number;
  readonly cents: number;
}

/** What a planned day will use: each lot's birds as even steps through its spread. */
export function plannedUse(
  { plan: { lots, line, chill, bath }, choices }: PlanForDate,
  { heat, hypochloriteFraction }: SupplySettings,
): DayUse {
  return {
    wholeKilograms: lots.flatMap(({ choices: lot, forecast: { dressed, cv } }) => {
      const whole = lot.birds - lot.cutUp;
      return Array.from({ length: whole }, (_, index) =>
        Math.max(0, dressed.value * (1 + cv * normalQuantile((index + 0.5) / whole))),
      );
    }),
    cutBirds: choices.lots.reduce((sum, { cutUp }) => sum + cutUp, 0),
    gibletBirds: birdsOf({ lots: choices.lots.filter(({ keepsGiblets }) => keepsGiblets) }),
    people: choices.people,
    lineHours: line.lineMinutes / 60,
    iceBags: chill.bags.value,
    saltKilograms: chill.brine?.salt.value ?? 0,
    propaneKilograms: heat === "propane" ? bath.energy.propaneKilograms : undefined,
    hypochloriteFraction,
    spareShare: NEEDS.spareShare,
  };
}

/** All that a day uses up, against the stock: ice, bags by size, then the rest; a thing that is not needed has no row. */
export function dayNeeds(use: DayUse, supplies: readonly Supply[]): Need[] {
  const bags = bagNeeds(use, supplies);
  const others = SUPPLY_KINDS.filter((kind) => kind !== "bag").flatMap((kind) => {
    const working = workingOf(kind, use);
    if (working.value <= 0) return [];
    const amount = Math.ceil(working.value - 1e-9);
    return needsOf(
      kind,
      amount,
      working,
      supplies.filter((supply) => supply.kind === kind),
    );
  });
  return [...others.slice(0, 1), ...bags, ...others.slice(1)];
}

/** Each bird takes the smallest bag that holds it; one too big for all takes the largest, and it is said. */
function bagNeeds(use: DayUse, supplies: readonly Supply[]): Need[] {
  const bags = supplies
    .filter(({ kind }) => kind === "bag")
    .toSorted((one, other) => one.mostKilograms! - other.mostKilograms!);
  const largest = bags.at(-1);
  const taken = new Map<Supply | undefined, number>();
  for (const weight of use.wholeKilograms) {
    const bag = bags.find(({ mostKilograms }) => weight <= mostKilograms!) ?? largest;
    taken.set(bag, (taken.get(bag) ?? 0) + 1);
  }
  const sizes: readonly (Supply | undefined)[] = bags.length === 0 ? [undefined] : bags;
  return sizes.flatMap((bag) => {
    const birds = taken.get(bag) ?? 0;
    if (birds === 0) return [];
    const working = withSpare(
      birds,
      use.spareShare,
      [
        input("whole-birds-of-that-size", birds, "birds", "calculated"),
        ...(bag
          ? [input("fits-birds-up-to", bag.mostKilograms!, "carcass-kg", "farm-setting" as const)]
          : []),
      ],
      "one-bag-each",
    );
    return needsOf("bag", working.value, working, bag ? [bag] : []);
  });
}

/** Birds for which no bag is big enough. */
export function birdsTooBig(use: DayUse, supplies: readonly Supply[]): number {
  const most = Math.max(0, ...supplies.map(({ mostKilograms }) => mostKilograms ?? 0));
  return most === 0 ? 0 : use.wholeKilograms.filter((weight) => weight > most).length;
}

/** What there is of a kind is used up in its order; what is short is bought of the last. */
function needsOf(kind: SupplyKind, amount: number, working: Reckoning, supplies: readonly Supply[]): Need[] {
  if (supplies.length === 0) {
    return [{ kind, supply: undefined, amount, working, short: undefined, packs: 0, cents: 0 }];
  }
  let left = amount;
  return supplies.flatMap((supply, index) => {
    const isLast = index === supplies.length - 1;
    const part = isLast ? left : Math.min(left, supply.inStock ?? 0);
    left -= part;
    if (part === 0) return [];
    const short = supply.inStock === undefined ? undefined : Math.max(0, part - supply.inStock);
    const packs = Math.ceil((short ?? 0) / supply.packAmount);
    const own = part === amount ? working : partOf(working, part);
    return [{ kind, supply, amount: part, working: own, short, packs, cents: packs * supply.packCents }];
  });
}

/** Where a thing lies in two stocks, each has a part of the sum. */
const partOf = (working: Reckoning, part: number): Reckoning =>
  reckoning({
    ...working,
    value: part,
    inputs: [...working.inputs, input("total-needed", working.value, working.unit, "calculated")],
    thenRule: "from-other-stock",
  });

function workingOf(kind: Exclude<SupplyKind, "bag">, use: DayUse): Reckoning {
  const whole = use.wholeKilograms.length;
  const birds = whole + use.cutBirds;
  const spare = use.spareShare;
  const vacuumBags =
    NEEDS.vacuumBagsPerCutBird * use.cutBirds + Math.ceil(use.gibletBirds / NEEDS.birdsPerGibletBag);
  const allBirds = input("birds", birds, "birds", "calculated");
  const hours = input("hours-on-the-line", use.lineHours, "hours", "calculated");
  switch (kind) {
    case "ice":
      return plain(use.iceBags, "count", [], "ice-from-plan");
    case "tie":
      return withSpare(whole, spare, [input("whole-birds", whole, "birds", "calculated")], "one-tie-each");
    case "tube":
      return plain(
        Math.min(whole, NEEDS.tubesReady),
        "count",
        [input("whole-birds", whole, "birds", "calculated")],
        "reused-tubes",
      );
    case "label":
      return withSpare(
        whole + vacuumBags,
        spare,
        [
          input("whole-birds", whole, "birds", "calculated"),
          input("vacuum-bags", vacuumBags, "count", "calculated"),
        ],
        "one-label-each",
      );
    case "vacuum_bag":
      return withSpare(
        vacuumBags,
        spare,
        [
          input("birds-cut-up", use.cutBirds, "birds", "calculated"),
          input("bags-per-bird", NEEDS.vacuumBagsPerCutBird, "count", "our-estimate"),
          ...(use.gibletBirds > 0
            ? [input("birds-per-giblet-bag", NEEDS.birdsPerGibletBag, "birds", "our-estimate")]
            : []),
        ],
        "vacuum-bags-for-cuts",
      );
    case "propane":
      return plain(1000 * (use.propaneKilograms ?? 0), "grams", [hours], "propane-for-bath");
    case "salt":
      return plain(1000 * use.saltKilograms, "grams", [allBirds], "salt-for-brine");
    case "glove": {
      const each = 1 + Math.ceil(use.lineHours / NEEDS.hoursPerGlovePair);
      return plain(
        use.people * each,
        "count",
        [input("people", use.people, "people", "calculated"), hours],
        "gloves-per-person",
      );
    }
    case "towel":
      return plain(Math.ceil(birds / NEEDS.birdsPerTowelRoll), "count", [allBirds], "towels-per-bird");
    case "bin_bag":
      return plain(
        Math.ceil(birds / NEEDS.birdsPerBinBag) + NEEDS.otherBinBags,
        "count",
        [allBirds],
        "trash-bags-per-bird",
      );
    case "bleach": {
      const mixes = Math.ceil(use.lineHours / NEEDS.hoursPerSanitizer) + 1;
      const { bleachMilliliters } = bucketOfSanitizer(use.hypochloriteFraction.value);
      return plain(
        mixes * bleachMilliliters,
        "milliliters",
        [
          input("mixes", mixes, "count", "calculated"),
          input("water-per-mix", NEEDS.sanitizerLiters, "liters", "our-estimate"),
          inputSetting("hypochlorite-in-the-bleach", use.hypochloriteFraction, "fraction"),
        ],
        "bleach-for-sanitizer",
      );
    }
  }
}

/** Bleach for one mix of sanitizing water. Plain and unscented; never with acid or ammonia. */
export const bucketOfSanitizer = (hypochloriteFraction: number) =>
  bleachFor({
    targetMilligramsPerLiter: NEEDS.sanitizerMilligramsPerLiter,
    finalLiters: NEEDS.sanitizerLiters,
    hypochloriteFraction,
    strengthLeft: 1,
  });

const plain = (value: number, unit: Unit, inputs: readonly Input[], rule: RuleName) =>
  reckoning({ value, unit, inputs, rule, source: "needs" });

function withSpare(pieces: number, spareShare: number, inputs: readonly Input[], rule: RuleName) {
  const spare = Math.ceil(pieces * spareShare - 1e-9);
  return plain(
    pieces + spare,
    "count",
    spare > 0 ? [...inputs, input("spares", spare, "count", "our-estimate")] : inputs,
    rule,
  );
}
