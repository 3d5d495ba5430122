import { hashOfSecret, newSecret } from "#app/server/visitor/secret.server.ts";
import { cookieWith } from "#app/server/visitor/visitor.server.ts";
import type { SoakServer } from "#commands/soak/soak-server.ts";
import type { Role } from "#core/access/role.ts";
import { openFarmFile } from "#db/farm-file.server.ts";

/** What a request carries that another program passed on: it counts as from the network. */
export const FROM_THE_NETWORK = { "x-forwarded-for": "192.168.4.31" } as const;

/** A device of a role, or one that nobody let in, and the cookie that it sends. */
export interface SoakDevice {
  readonly role: Role | undefined;
  readonly cookie: string;
}

/** A device of each kind that may not do everything, and one that nobody let in. @param seenAt by the server's own clock, so that no try writes when it was seen */
export async function devicesOf({ url, data }: SoakServer, seenAt: number): Promise<SoakDevice[]> {
  const file = openFarmFile(data);
  const devices: SoakDevice[] = [];
  for (const role of ["helper", "viewer", undefined] as const) {
    const secret = newSecret();
    const at = Date.now();
    if (role) {
      const secretHash = hashOfSecret(secret);
      file.access.invite(
        { entryId: `invitation-${role}`, at },
        { role, endsAt: at + 1000, mostCount: 1, secretHash },
      );
      const { id } = file.access.invitation(secretHash)!;
      file.access.joinByInvitation(
        { entryId: `device-of-${role}`, at },
        { name: role, secretHash },
        { id, role },
      );
      file.access.sawDevice(file.access.deviceBySecret(secretHash)!.id, seenAt);
    }
    devices.push({ role, cookie: (await cookieWith(new Request(url), secret)).split(";")[0]! });
  }
  file.close();
  return devices;
}
