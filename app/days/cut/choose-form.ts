import { z } from "zod";
import { choice, wholeNumber } from "#app/ui/read/read-field.ts";
import { WHICH_BIRDS_CUT } from "#core/packing/choose-birds.ts";

/** So many of the birds that were weighed whole, the heaviest or the lightest of them. */
export const chooseForm = z.object({
  birds: wholeNumber({ least: 1, most: 10_000, ask: "Enter how many birds to cut up" }),
  which: choice(WHICH_BIRDS_CUT, "Choose which birds"),
});
