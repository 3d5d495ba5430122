import { plural, type Show } from "#app/words/show.ts";
import type { BackupReason, FileCounts, FileTrouble, TroubleKind } from "#core/file/file-life.ts";

/** What keeps a data file from being opened, and what to do about it. */
const TROUBLE_WORDS: Readonly<Record<TroubleKind, { readonly what: string; readonly help: string }>> = {
  newer: {
    what: "This data file was written by a newer version of Pale Morning.",
    help: "Start the newer version. This one has changed nothing in it.",
  },
  foreign: {
    what: "This file is not a farm of Pale Morning.",
    help: "Check the name of the file. It was left as it is.",
  },
  broken: {
    what: "This data file is damaged, so it was not opened.",
    help: "Restore the last backup. The damaged file is kept beside it, and nothing of it is thrown away.",
  },
  "read-only": {
    what: "This data file can't be written.",
    help: "Allow this computer's account to write the file and its folder, then start again.",
  },
  "no-folder": {
    what: "The folder of this data file is not there, or can't be written.",
    help: "Plug in the disk that it lies on, or name another folder, then start again.",
  },
  "disk-full": {
    what: "The disk is full.",
    help: "Make room on it, then start again. What was answered before is in the file; what was not answered is not.",
  },
};

export interface TroubleInWords {
  readonly what: string;
  readonly help: string;
  readonly path: string;
  /** How to go back to the last backup; empty where there is none. */
  readonly restore: string;
}

interface LastBackup {
  readonly name: string;
  readonly madeAt: number;
}

/** A trouble for whoever has to put it right. @param last the newest backup, if there is one */
export function troubleInWords(
  trouble: FileTrouble,
  last: LastBackup | undefined,
  show: Show,
): TroubleInWords {
  const canHelp = trouble.kind === "broken" || trouble.kind === "foreign";
  return {
    ...TROUBLE_WORDS[trouble.kind],
    path: trouble.path,
    restore:
      last && canHelp
        ? `The last backup is of ${show.dateTime(last.madeAt)}. Restore it with: npm run restore -- ${last.name}`
        : "",
  };
}

export const BACKUP_REASON_WORDS: Readonly<Record<BackupReason, string>> = {
  daily: "made on its own",
  asked: "asked for",
  "before-update": "before an update",
  "before-restore": "before a restore",
};

/** `3 batches, 5 days, 412 packs`, and when the last thing was written down. */
export const countsInWords = ({ batches, days, packs, pictures, lastAt }: FileCounts, show: Show): string =>
  [
    plural(batches, "batch", "batches"),
    plural(days, "day"),
    plural(packs, "pack"),
    pictures > 0 ? plural(pictures, "picture") : undefined,
    lastAt === undefined ? undefined : `last written ${show.dateTime(lastAt)}`,
  ]
    .filter(Boolean)
    .join(", ");

/** Why something that was removed can't be put back. */
export const PUT_BACK_WORDS = {
  "not-alone": "This can't be put back by itself. Enter it again where it belongs.",
  "name-taken": "Something else has that name by now. Rename or remove that first, then put this back.",
  "grant-taken":
    "Someone else works beside an adult by now, and a farm can name one at most. Change that first, then put this back.",
  "out-again": "The pack has gone out another way since then. Remove that first, then put this back.",
} as const;
