import { z } from "zod";
import { optional, words } from "#app/ui/read/read-field.ts";

/** What the two buttons of the form do: call the day off with its reason, or delete it with everything that was planned. */
const DELETE = "delete";

export const callOffForm = z
  .object({ reason: optional(words(200, "")), deed: z.literal(DELETE).optional() })
  .transform(({ reason, deed }, context) => {
    if (deed === DELETE) return { reason: "" };
    if (reason === undefined || reason === null || reason === "") {
      context.addIssue({
        code: "custom",
        path: ["reason"],
        message: "Enter why, such as heavy rain; whoever asks later will find it under Days",
      });
      return z.NEVER;
    }
    return { reason };
  });

export const DELETE_DEED = { name: "deed", value: DELETE } as const;
