import type { Database } from "better-sqlite3";
import type { Role } from "#core/access/role.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** A passphrase as it is kept: scrypt of it with this salt. */
export interface KeptPassphrase {
  readonly salt: Buffer;
  readonly hash: Buffer;
}

/** An address by which devices may join. */
export interface Invitation {
  readonly id: number;
  readonly entryId: string;
  readonly role: Role;
  readonly endsAt: number;
  readonly mostCount: number;
  /** Devices that have joined by it. */
  readonly joinedCount: number;
}

/** A phone or computer that joined. */
export interface JoinedDevice {
  readonly id: number;
  readonly name: string;
  readonly role: Role;
  readonly joinedAt: number;
  readonly lastSeenAt: number;
  readonly blockedAt: number | undefined;
}

export interface NewDevice {
  readonly name: string;
  /** SHA-256 of the secret in its cookie. */
  readonly secretHash: Buffer;
}

type NotJoined = "invitation-over" | "secret-used";

/** Prepares every statement of who may come in once; call it once per connection. Secrets come in as hashes. */
export function accessQueries(database: Database) {
  const entries = entryQueries(database);
  const selectPassphrase = database.prepare<[], KeptPassphrase & { readonly id: number }>(
    "SELECT id, salt, hash FROM passphrase ORDER BY id DESC LIMIT 1",
  );
  const insertPassphrase = database.prepare<KeptPassphrase & { entryId: string }>(
    "INSERT INTO passphrase (entry_id, salt, hash) VALUES (@entryId, @salt, @hash)",
  );
  return {
    passphrase: () => selectPassphrase.get(),
    /** The passphrase is in no entry's content: the same entry with another one counts as a repeat. */
    setPassphrase: (entry: Entry, kept: KeptPassphrase): Recorded =>
      entries.once(entry, ["passphrase"], () => {
        insertPassphrase.run({ entryId: entry.entryId, ...kept });
        return undefined;
      }),
    ...invitationQueries(database),
    ...deviceQueries(database),
  };
}

const INVITATION = `
  SELECT id, entry_id AS entryId, role, ends_at AS endsAt, most_count AS mostCount,
         (SELECT count(*) FROM joined_device WHERE invitation_id = invitation.id) AS joinedCount
    FROM invitation WHERE entry_id NOT IN (SELECT entry_id FROM entry_taken_back)`;

function invitationQueries(database: Database) {
  const entries = entryQueries(database);
  const insert = database.prepare<{
    entryId: string;
    role: Role;
    secretHash: Buffer;
    endsAt: number;
    mostCount: number;
  }>(`
    INSERT INTO invitation (entry_id, role, secret_hash, ends_at, most_count)
    VALUES (@entryId, @role, @secretHash, @endsAt, @mostCount)`);
  const selectOpen = database.prepare<{ now: number }, Invitation>(
    `${INVITATION} AND ends_at > @now ORDER BY id DESC`,
  );
  const selectBySecret = database.prepare<{ secretHash: Buffer }, Invitation>(
    `${INVITATION} AND secret_hash = @secretHash`,
  );
  return {
    invite: (
      entry: Entry,
      { secretHash, ...said }: Pick<Invitation, "role" | "endsAt" | "mostCount"> & { secretHash: Buffer },
    ): Recorded =>
      entries.once(entry, ["invitation", said.role], () => {
        insert.run({ entryId: entry.entryId, secretHash, ...said });
        return undefined;
      }),
    /** Those by which somebody may join now. */
    openInvitations: (now: number): Invitation[] =>
      selectOpen.all({ now }).filter(({ joinedCount, mostCount }) => joinedCount < mostCount),
    /** The invitation with a secret, open or over. */
    invitation: (secretHash: Buffer) => selectBySecret.get({ secretHash }),
  };
}

const DEVICE = `
  SELECT device.id, device.name, device.role, entry.at AS joinedAt, device.last_seen_at AS lastSeenAt,
         device.blocked_at AS blockedAt
    FROM joined_device AS device JOIN entry ON entry.id = device.entry_id`;

function deviceQueries(database: Database) {
  const entries = entryQueries(database);
  const selectDevices = database.prepare<[], JoinedDevice>(`${DEVICE} ORDER BY device.id DESC`);
  const selectBySecret = database.prepare<{ secretHash: Buffer }, JoinedDevice>(
    `${DEVICE} WHERE device.secret_hash = @secretHash`,
  );
  const insert = database.prepare<
    NewDevice & { entryId: string; invitationId: number | undefined; role: Role; at: number }
  >(`
    INSERT INTO joined_device (entry_id, invitation_id, role, name, secret_hash, last_seen_at)
    VALUES (@entryId, @invitationId, @role, @name, @secretHash, @at)`);
  const selectCount = database.prepare<{ id: number }, { joined: number; most: number; endsAt: number }>(`
    SELECT (SELECT count(*) FROM joined_device WHERE invitation_id = invitation.id) AS joined, most_count AS most,
           ends_at AS endsAt
      FROM invitation WHERE id = @id AND entry_id NOT IN (SELECT entry_id FROM entry_taken_back)`);
  const updateSeen = database.prepare<{ id: number; at: number }>(
    "UPDATE joined_device SET last_seen_at = @at WHERE id = @id",
  );
  const updateBlocked = database.prepare<{ id: number; at: number | undefined }>(
    "UPDATE joined_device SET blocked_at = @at WHERE id = @id",
  );
  const join = (
    entry: Entry,
    device: NewDevice,
    role: Role,
    invitationId: number | undefined,
  ): Recorded<NotJoined> =>
    entries.once<NotJoined>(entry, ["joined", device.name, role, invitationId ?? null], () => {
      const left = invitationId === undefined ? undefined : selectCount.get({ id: invitationId });
      if (invitationId !== undefined && !(left && left.joined < left.most && left.endsAt > entry.at))
        return "invitation-over";
      if (selectBySecret.get(device)) return "secret-used";
      insert.run({ entryId: entry.entryId, invitationId, role, ...device, at: entry.at });
      return undefined;
    });
  const selectDeviceOf = database.prepare<[string], { deviceId: number | undefined }>(
    "SELECT device_id AS deviceId FROM entry WHERE id = ?",
  );
  return {
    /** The device that an entry came from; undefined for the farm's own computer, and for no entry. */
    deviceOf: (entryId: string): number | undefined => selectDeviceOf.get(entryId)?.deviceId,
    devices: (): JoinedDevice[] => selectDevices.all(),
    deviceBySecret: (secretHash: Buffer) => selectBySecret.get({ secretHash }),
    joinByInvitation: (entry: Entry, device: NewDevice, { id, role }: Pick<Invitation, "id" | "role">) =>
      join(entry, device, role, id),
    /** For whoever knows the passphrase. */
    joinAsOwner: (entry: Entry, device: NewDevice) => join(entry, device, "owner", undefined),
    sawDevice: (id: number, at: number): void => void updateSeen.run({ id, at }),
    /** From now on it may not come in. */
    block: (id: number, at: number): void => void updateBlocked.run({ id, at }),
    unblock: (id: number): void => void updateBlocked.run({ id, at: undefined }),
  };
}
