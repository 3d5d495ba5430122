import { expect, test } from "vitest";
import { packForm } from "#app/days/pack/pack-form.ts";

const form = packForm("us");
const TYPED = { birdNumber: "7", weight: "4 9.2", purpose: "sale", reason: "", placeId: "2" };
const faults = (change: object) =>
  (form.safeParse({ ...TYPED, ...change }).error?.issues ?? []).map(
    ({ path, message }) => `${path.join(".")}: ${message}`,
  );

test("a bird for sale is kept with its weight, as it was typed, and where it goes", () => {
  expect(form.parse(TYPED)).toEqual({
    birdNumber: 7,
    printsLabel: false,
    purpose: "sale",
    placeId: 2,
    reason: "",
    weightMilligrams: 2_075_185,
    asTyped: "4 9.2",
  });
});

test("a condemned bird needs a reason and no weight, and goes nowhere", () => {
  expect(form.parse({ ...TYPED, purpose: "condemned", weight: "", reason: "sores" })).toMatchObject({
    weightMilligrams: undefined,
    placeId: undefined,
    reason: "sores",
  });
  expect(faults({ purpose: "condemned", weight: "" })).toEqual([
    "reason: Enter why it is condemned: yellow fluid, sores, smell",
  ]);
  expect(faults({ purpose: "condemned", reason: "sores", weight: "46" })).toHaveLength(1);
});

test("a reason typed before the purpose was changed back is not kept", () => {
  expect(form.parse({ ...TYPED, reason: "sores" }).reason).toBe("");
});

test("any other bird needs a weight, and every bird a purpose", () => {
  expect(faults({ weight: "" })).toEqual(["weight: Put the bird on the scale and enter its weight"]);
  expect(faults({ purpose: undefined })).toEqual(["purpose: Choose what the bird is for"]);
  expect(form.parse({ ...TYPED, placeId: "" }).placeId).toBeUndefined();
});
