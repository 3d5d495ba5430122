import { z } from "zod";
import { MOST_BIRDS_A_DAY } from "#app/days/plan/choices/lot-form.ts";
import { choice, optional, wholeNumber, words } from "#app/ui/read/read-field.ts";
import { BIRD_KINDS } from "#core/growth/bird-kind.ts";
import { OWNER_KINDS } from "#core/sharing/customer-kind.ts";

const MOST_ID = 1_000_000_000;
const birdCount = wholeNumber({ least: 1, most: MOST_BIRDS_A_DAY, ask: "Enter the number of birds" });

/** Birds of one of the farm's batches for a day that has others. */
export const addLotForm = z.object({
  batchId: wholeNumber({ least: 1, most: MOST_ID, ask: "Choose a batch" }),
  birdCount,
  ownerId: optional(wholeNumber({ least: 1, most: MOST_ID, ask: "" })),
});

/** Oldest bird that anybody brings, weeks. */
const MOST_WEEKS = 520;

/** Birds that somebody brings along: who, what and how many. */
export const bringLotForm = z.object({
  ownerName: words(40, "Enter whose birds they are"),
  ownerKind: choice(OWNER_KINDS, "Choose who they are to you"),
  kind: choice(BIRD_KINDS, "Choose the kind of bird"),
  birdCount,
  weeks: wholeNumber({ least: 1, most: MOST_WEEKS, ask: "Enter their age in weeks; a guess will do" }),
  malePercent: wholeNumber({ most: 100, ask: "Enter how many of 100 are male" }),
});
