import { z } from "zod";
import { entryId, words } from "#app/ui/read/read-field.ts";

const MOST_NAME_LETTERS = 40;
const LEAST_PASSPHRASE_LETTERS = 10;
const MOST_PASSPHRASE_LETTERS = 200;

/** A secret that the page was given with its form: whoever sends the form gets it as their cookie. */
export const secret = z.string().regex(/^[\w-]{43}$/);

const name = words(MOST_NAME_LETTERS, "Enter a name");

/** A device that joins by an invitation. */
export const joinForm = z.object({ entryId, secret, name });

/** A device that joins by the passphrase. */
export const signInForm = z.object({
  entryId,
  secret,
  name,
  passphrase: z
    .string({ error: "Enter the passphrase" })
    .min(1, "Enter the passphrase")
    .max(MOST_PASSPHRASE_LETTERS, "Use 200 letters or fewer"),
});

/** A new passphrase. On plain HTTP whoever sets it has read what that means. */
export const passphraseForm = z.object({
  entryId,
  passphrase: z
    .string({ error: "Enter a passphrase" })
    .min(LEAST_PASSPHRASE_LETTERS, "Use 10 letters or more, such as four unrelated words")
    .max(MOST_PASSPHRASE_LETTERS, "Use 200 letters or fewer"),
  hasRead: z.literal("on", { error: "Read this and check the box" }),
});

/** What a plain form was refused for: a sentence for each field. */
export type FieldFaults = Readonly<Record<string, string | undefined>>;

export const faultsOfParse = (error: z.ZodError): FieldFaults =>
  Object.fromEntries(error.issues.map(({ path, message }) => [String(path[0] ?? ""), message]));
