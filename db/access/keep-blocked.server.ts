import { existsSync } from "node:fs";
import { fileTrouble } from "#db/life/file-trouble.server.ts";
import { openFile } from "#db/open-file.server.ts";

/** Where what is put in a file's place must not open a door again that was shut since. */
interface Doors {
  /** The data file that is about to be put in place; brought up to date. */
  readonly next: string;
  /** The one that stands, which may be missing or broken. */
  readonly standing: string;
  readonly now: number;
}

/**
 * Lets in by the next file only whom the standing one lets in: other devices are blocked, invitations end, and the standing
 * passphrase goes on. Without a standing file that can be read, every device has to join again.
 */
export function keepBlocked({ next, standing, now }: Doors): void {
  const canBeRead = existsSync(standing) && fileTrouble(standing) === undefined;
  // Brings it up to date, should nobody have served it since an update.
  if (canBeRead) openFile(standing).close();
  const database = openFile(next);
  try {
    database.prepare("ATTACH ? AS standing").run(canBeRead ? standing : ":memory:");
    const isIn = canBeRead
      ? "secret_hash IN (SELECT secret_hash FROM standing.joined_device WHERE blocked_at IS NULL)"
      : "0";
    const isOpen = canBeRead
      ? `secret_hash IN (SELECT secret_hash FROM standing.invitation WHERE ends_at > @now
           AND entry_id NOT IN (SELECT entry_id FROM standing.entry_taken_back))`
      : "0";
    database
      .transaction(() => {
        database
          .prepare(`UPDATE joined_device SET blocked_at = @now WHERE blocked_at IS NULL AND NOT ${isIn}`)
          .run({ now });
        database
          .prepare(`UPDATE invitation SET ends_at = @now WHERE ends_at > @now AND NOT ${isOpen}`)
          .run({ now });
        if (!canBeRead) return;
        const last = "FROM standing.passphrase ORDER BY id DESC LIMIT 1";
        const entryId = `passphrase-kept-${now}`;
        database
          .prepare(
            `INSERT INTO entry (id, content, at) SELECT @entryId, '["passphrase"]', @now WHERE EXISTS (SELECT 1 ${last})`,
          )
          .run({ entryId, now });
        database
          .prepare(`INSERT INTO passphrase (entry_id, salt, hash) SELECT @entryId, salt, hash ${last}`)
          .run({ entryId });
      })
      .immediate();
  } finally {
    database.close();
  }
}
