/** What keeps a data file from being served. */
export type TroubleKind = "newer" | "foreign" | "broken" | "read-only" | "no-folder" | "disk-full";

export interface FileTrouble {
  readonly kind: TroubleKind;
  readonly path: string;
}

/** How much a data file holds, in the things that a person would count. */
export interface FileCounts {
  readonly batches: number;
  readonly days: number;
  readonly packs: number;
  readonly pictures: number;
  readonly entries: number;
  /** When the last thing was written down, epoch milliseconds; undefined in an empty file. */
  readonly lastAt?: number;
}

/** Why an archive of the data file was made. */
export const BACKUP_REASONS = ["daily", "asked", "before-update", "before-restore"] as const;
export type BackupReason = (typeof BACKUP_REASONS)[number];

/** From one archive made on its own to the next, ms: less than a day, so that it never slips past one. */
const EVERY_MILLISECONDS = 22 * 3_600_000;

/**
 * Whether another archive is due.
 *
 * @param lastAt when the last one was made, epoch milliseconds; undefined where there is none
 */
export const isBackupDue = (lastAt: number | undefined, now: number): boolean =>
  // A clock that was set back makes one too many, never one too few.
  lastAt === undefined || now - lastAt >= EVERY_MILLISECONDS || now < lastAt;
