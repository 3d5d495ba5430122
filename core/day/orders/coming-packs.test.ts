import { expect, test } from "vitest";
import { USUAL_SCHEME } from "#core/cutting/cut-list.ts";
import { comingPacks } from "#core/day/orders/coming-packs.ts";
import { flockOn } from "#core/growth/flock-forecast.ts";

const product = (
  id: number,
  kind: Parameters<typeof comingPacks>[1][number]["kind"],
  piecesPerPack?: number,
) => ({
  id,
  kind,
  piecesPerPack,
});

test("a planned lot gives whole birds with their weights, whole packs of its cuts, and giblets where it keeps them", () => {
  const forecast = flockOn("2026-09-19", {
    kind: "slow",
    maleShare: 0.5,
    hatchedOn: "2026-06-27",
    weighings: [],
    takings: [],
  });
  const lot = {
    dayId: 3,
    processedOn: "2026-09-19",
    restDays: 2,
    birds: 58,
    cutUp: 12,
    keepsGiblets: true,
    keepsFeet: false,
    scheme: USUAL_SCHEME,
    forecast,
  };
  const products = [
    product(1, "whole-bird"),
    product(2, "breast-bone-in", 4),
    product(3, "wing"),
    product(4, "liver"),
    product(5, "heart", 10),
    product(6, "feet"),
    product(7, "broth"),
  ];
  const made = comingPacks(lot, products);
  expect(made.every(({ readyOn }) => readyOn === "2026-09-21")).toBe(true);
  // 58 - 12 whole; 24 breasts by two, as the cutting list says; 24 wings by twelve; 58 livers by eight; 58 hearts by ten.
  expect(made.map(({ productId, packs }) => [productId, packs])).toEqual([
    [1, 46],
    [2, 12],
    [3, 2],
    [4, 7],
    [5, 5],
  ]);
  const [whole] = made;
  const mean = whole!.spread!.sexes.reduce((sum, { share, mean: of }) => sum + share * of, 0);
  expect(mean / forecast.dressed.value).toBeCloseTo(1, 1);
  expect(whole!.meanSdLn).toBe(forecast.sdLn);
  expect(
    comingPacks({ ...lot, keepsGiblets: false, keepsFeet: true }, products).map((one) => one.productId),
  ).toEqual([1, 2, 3, 6]);
});
