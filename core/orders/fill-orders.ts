import { daysBetween, type LocalDay } from "#core/calendar/local-day.ts";
import { type BirdSpread, shareBelow } from "#core/growth/bird-spread.ts";
import { type Ask, matchByPriority } from "#core/orders/match-by-priority.ts";
import { normalQuantile } from "#core/quantity/normal.ts";
import { seededRandom } from "#core/quantity/seeded-random.ts";

/** So many packs of a product, wanted by a day. */
export interface WantedLine {
  readonly key: string;
  readonly productId: number;
  /** `Infinity`: all there are. */
  readonly packs: number;
  /** Smallest and largest pack that will do, kg; undefined where any size will do. */
  readonly leastKilograms: number | undefined;
  readonly mostKilograms: number | undefined;
  readonly wantedOn: LocalDay;
}

export interface PackInStock {
  readonly id: number;
  readonly productId: number;
  /** Undefined for what goes by volume: it suits an order without a size. */
  readonly kilograms: number | undefined;
}

/** Packs that a planned day will give. */
export interface ComingPacks {
  readonly dayId: number;
  readonly productId: number;
  /** When they can be handed over: after their rest. */
  readonly readyOn: LocalDay;
  readonly packs: number;
  /** Weights of single packs, kg; undefined where nobody can foretell them, and then they suit every size. */
  readonly spread: BirdSpread | undefined;
  /** How unsure their mean is, sd of its logarithm. */
  readonly meanSdLn: number;
}

/** Why a line is not filled. */
export type Shortfall =
  /** None is in stock, and no planned day makes any. */
  | { readonly why: "none-made" }
  /** There are enough, in other sizes. */
  | { readonly why: "wrong-size" }
  /** There will be some, but after the day they are wanted. */
  | { readonly why: "too-late"; readonly readyOn: LocalDay }
  /** Those who come first in the list get them. */
  | { readonly why: "too-few" };

export interface FilledLine {
  readonly key: string;
  /** Packs of the stock set aside for it, the oldest first. */
  readonly packIds: readonly number[];
  /** What planned days will likely give it. */
  readonly coming: readonly { readonly dayId: number; readonly readyOn: LocalDay; readonly packs: number }[];
  /** Chance that it is filled to the last pack, 0 to 1; undefined where it waits for no planned day, or takes whatever there is. */
  readonly chance: number | undefined;
  /** Packs that are likely missing; 0 where it takes whatever there is. */
  readonly missing: number;
  readonly shortfall: Shortfall | undefined;
}

/** Drawn flocks for each planned day: the standard error of a chance is then 0.035 at most. */
const FLOCKS = 200;

/**
 * What can be filled of orders from what lies in the freezers and from what planned days will give. Who wants it first is served first;
 * on the same day, whoever comes first in the list. Sizes are exchanged between lines where that helps a later one and hurts none before.
 *
 * The chance is by drawn flocks: a mean for the day, and each bird about it.
 *
 * @param random numbers of at least 0 and below 1, for the drawn flocks
 */
export function fillOrders(
  lines: readonly WantedLine[],
  stock: readonly PackInStock[],
  coming: readonly ComingPacks[],
  random: () => number,
): FilledLine[] {
  const filled = new Map<string, FilledLine>();
  for (const productId of new Set(lines.map((line) => line.productId))) {
    const ofProduct = lines
      .filter((line) => line.productId === productId)
      .toSorted((one, other) => daysBetween(other.wantedOn, one.wantedOn));
    const result = fillProduct(
      ofProduct,
      stock.filter((pack) => pack.productId === productId),
      coming.filter((day) => day.productId === productId && day.packs > 0),
      random,
    );
    for (const line of result) filled.set(line.key, line);
  }
  return lines.map(({ key }) => filled.get(key)!);
}

/** As `fillOrders`, all in one, and the same every time: for a thread that has to be sent what it works out. */
export const fillOrdersOf = (asked: {
  readonly lines: readonly WantedLine[];
  readonly stock: readonly PackInStock[];
  readonly coming: readonly ComingPacks[];
}): FilledLine[] => fillOrders(asked.lines, asked.stock, asked.coming, seededRandom(SEED));

/** Any will do: with one seed the same orders get the same answer. */
const SEED = 1;

function fillProduct(
  lines: readonly WantedLine[],
  stock: readonly PackInStock[],
  coming: readonly ComingPacks[],
  random: () => number,
): FilledLine[] {
  const edges = edgesOf(lines);
  const byClass = new Map<number, PackInStock[]>();
  for (const pack of stock) {
    const one = classOf(edges, pack.kilograms);
    const alike = byClass.get(one);
    if (alike) alike.push(pack);
    else byClass.set(one, [pack]);
  }
  const classes = [...byClass.keys()];
  const given = matchByPriority(
    lines.map((line) => ({
      count: line.packs,
      classes: classes.flatMap((one, index) => (suits(line, edges, one) ? [index] : [])),
    })),
    classes.map((one) => byClass.get(one)!.length),
  );
  // Hands out the packs of a class in the order of the lines, the oldest first.
  const left = classes.map((one) => [...byClass.get(one)!]);
  const set = lines.map((line, index) => ({
    line,
    packIds: given[index]!.flatMap((count, one) => left[one]!.splice(0, count).map(({ id }) => id)),
  }));
  const expected = expectComing(
    set.map(({ line, packIds }) => ({ ...line, packs: line.packs - packIds.length })),
    edges,
    coming,
    random,
  );
  return set.map(({ line, packIds }, index) => {
    const { days, chance } = expected[index]!;
    const likely = days.reduce((sum, { packs }) => sum + packs, 0);
    const missing =
      line.packs === Number.POSITIVE_INFINITY ? 0 : Math.max(0, line.packs - packIds.length - likely);
    return {
      key: line.key,
      packIds,
      coming: days,
      chance,
      missing,
      shortfall: missing > 0 ? shortfallOf(line, edges, stock, coming) : undefined,
    };
  });
}

interface Expected {
  readonly days: FilledLine["coming"];
  readonly chance: number | undefined;
}

/** What the planned days give to each line, by drawn flocks. */
function expectComing(
  lines: readonly WantedLine[],
  edges: readonly number[],
  coming: readonly ComingPacks[],
  random: () => number,
): Expected[] {
  const sizes = edges.length + 1;
  const asks: Ask[] = lines.map((line) => ({
    count: Math.max(0, line.packs),
    classes: coming.flatMap((day, index) =>
      daysBetween(day.readyOn, line.wantedOn) < 0
        ? []
        : Array.from({ length: sizes }, (_, one) => one)
            .filter((one) => day.spread === undefined || suits(line, edges, one))
            .map((one) => index * sizes + one),
    ),
  }));
  const drawn = Array.from({ length: coming.length === 0 ? 0 : FLOCKS }, () =>
    matchByPriority(
      asks,
      coming.flatMap((day) => drawFlock(day, edges, random)),
    ),
  );
  return lines.map((line, index) => {
    const fromDay = (given: number[][], day: number) =>
      given[index]!.slice(day * sizes, (day + 1) * sizes).reduce((sum, count) => sum + count, 0);
    const days = coming.flatMap(({ dayId, readyOn }, day) => {
      const packs = median(drawn.map((given) => fromDay(given, day)));
      return packs > 0 ? [{ dayId, readyOn, packs }] : [];
    });
    const isAwaited = Number.isFinite(line.packs) && line.packs > 0 && asks[index]!.classes.length > 0;
    const full = drawn.filter((given) => given[index]!.reduce((sum, count) => sum + count, 0) >= line.packs);
    return { days, chance: isAwaited ? full.length / FLOCKS : undefined };
  });
}

/** How many packs of a day fall into each class of size: one drawn mean, and each bird about it. */
function drawFlock(day: ComingPacks, edges: readonly number[], random: () => number): number[] {
  const counts = new Array<number>(edges.length + 1).fill(0);
  if (!day.spread) {
    counts[0] = day.packs;
    return counts;
  }
  const factor = Math.exp(day.meanSdLn * normalQuantile(Math.min(1 - 1e-9, Math.max(1e-9, random()))));
  const below = edges.map((edge) => shareBelow(day.spread!, edge / factor));
  for (let bird = 0; bird < day.packs; bird += 1) {
    const at = random();
    const one = below.findIndex((share) => at < share);
    counts[one === -1 ? edges.length : one]! += 1;
  }
  return counts;
}

/** A pack that is a gram lighter or heavier than a size asks for is of that size. */
const SIZE_TOLERANCE_KILOGRAMS = 0.001;

/** The sizes that will do, with their tolerance. */
function bandOf({ leastKilograms, mostKilograms }: WantedLine): readonly [number, number] {
  return [
    leastKilograms === undefined ? Number.NEGATIVE_INFINITY : leastKilograms - SIZE_TOLERANCE_KILOGRAMS,
    mostKilograms === undefined ? Number.POSITIVE_INFINITY : mostKilograms + SIZE_TOLERANCE_KILOGRAMS,
  ];
}

/** Weights at which some line begins or ends, rising. */
const edgesOf = (lines: readonly WantedLine[]): number[] =>
  [...new Set(lines.flatMap(bandOf))].filter(Number.isFinite).toSorted((one, other) => one - other);

/** A pack of no weight has a class of its own. */
const NO_WEIGHT = -1;

function classOf(edges: readonly number[], kilograms: number | undefined): number {
  if (kilograms === undefined) return NO_WEIGHT;
  const index = edges.findIndex((edge) => kilograms < edge);
  return index === -1 ? edges.length : index;
}

function suits(line: WantedLine, edges: readonly number[], one: number): boolean {
  const [least, most] = bandOf(line);
  if (one === NO_WEIGHT) return least === Number.NEGATIVE_INFINITY && most === Number.POSITIVE_INFINITY;
  return (
    (edges[one - 1] ?? Number.NEGATIVE_INFINITY) >= least && (edges[one] ?? Number.POSITIVE_INFINITY) <= most
  );
}

function shortfallOf(
  line: WantedLine,
  edges: readonly number[],
  stock: readonly PackInStock[],
  coming: readonly ComingPacks[],
): Shortfall {
  if (stock.length === 0 && coming.length === 0) return { why: "none-made" };
  const inTime = coming.filter(({ readyOn }) => daysBetween(readyOn, line.wantedOn) >= 0);
  const later = coming.find((day) => !inTime.includes(day));
  const all = stock.length + inTime.reduce((sum, { packs }) => sum + packs, 0);
  const ofSize =
    stock.filter(({ kilograms }) => suits(line, edges, classOf(edges, kilograms))).length +
    inTime.reduce((sum, { packs, spread }) => sum + packs * (spread ? shareInBand(line, spread) : 1), 0);
  if (ofSize < line.packs && all >= line.packs) return { why: "wrong-size" };
  if (later) return { why: "too-late", readyOn: later.readyOn };
  return { why: "too-few" };
}

/** Share of birds that are of the size that a line asks for. */
function shareInBand(line: WantedLine, spread: BirdSpread): number {
  const [least, most] = bandOf(line);
  const below = (edge: number, all: number) => (Number.isFinite(edge) ? shareBelow(spread, edge) : all);
  return below(most, 1) - below(least, 0);
}

function median(values: readonly number[]): number {
  const sorted = values.toSorted((one, other) => one - other);
  return sorted[(sorted.length - 1) >> 1] ?? 0;
}
