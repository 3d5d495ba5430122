import { fillOrdersOf } from "#core/orders/fill-orders.ts";
import { seededRandom } from "#core/quantity/seeded-random.ts";
import { shareParts } from "#core/sharing/share-basis.ts";
import { fairShareOf } from "#core/sharing/share-fair.ts";

/** A gap that no scale of a farm shows, grams. */
const CLOSE_ENOUGH = 5;

function milliseconds<Answer>(work: () => Answer): readonly [number, Answer] {
  const startedAt = performance.now();
  const answer = work();
  return [performance.now() - startedAt, answer];
}

/** How long it takes to fill many orders, and to share many birds, against a few of each. */
export function benchOrders(): void {
  const random = seededRandom(5);
  const lines = (count: number) =>
    Array.from({ length: count }, (_, index) => ({
      key: String(index),
      productId: 1,
      packs: 1 + Math.floor(random() * 12),
      leastKilograms: index % 2 === 0 ? undefined : 1.6 + random() * 0.5,
      mostKilograms: index % 2 === 0 ? undefined : 2.3 + random() * 0.4,
      wantedOn: `2026-10-${String(1 + (index % 28)).padStart(2, "0")}`,
    }));
  const stock = Array.from({ length: 3000 }, (_, index) => ({
    id: index + 1,
    productId: 1,
    kilograms: 1.5 + random(),
  }));
  const coming = Array.from({ length: 6 }, (_, index) => ({
    dayId: index + 1,
    productId: 1,
    readyOn: `2026-10-0${1 + index}`,
    packs: 200,
    spread: {
      sexes: [
        { share: 0.5, mean: 2.2, sd: 0.25 },
        { share: 0.5, mean: 1.8, sd: 0.2 },
      ],
    },
    meanSdLn: 0.08,
  }));
  const fill = (count: number) => {
    const asked = { lines: lines(count), stock, coming };
    fillOrdersOf(asked);
    return milliseconds(() => fillOrdersOf(asked))[0];
  };
  const [few, many] = [fill(10), fill(120)];
  console.log(
    `orders: 10 lines against 3,000 packs and 1,200 birds to come ${few.toFixed(0)} ms, 120 lines ${many.toFixed(0)} ms, x${(many / few).toFixed(1)}`,
  );
  const share = (birds: number, birdsEach: readonly number[]) => {
    const weights = Array.from({ length: birds }, () => Math.round(1600 + 900 * random()));
    return milliseconds(() =>
      fairShareOf({
        weights,
        parts: shareParts(weights, birdsEach, "birds"),
        closeEnough: CLOSE_ENOUGH,
      }),
    );
  };
  const [every, exact] = share(12, [2, 2, 2, 2, 2, 2]);
  const [searched, near] = share(200, [60, 50, 40, 25, 15, 10]);
  console.log(
    `sharing: 12 birds among 6 by every way ${every.toFixed(0)} ms, to ${exact.largestGap.toFixed(0)} g; 200 birds by search ${searched.toFixed(1)} ms, to ${near.largestGap.toFixed(1)} g, x${(searched / every).toFixed(2)}`,
  );
}
