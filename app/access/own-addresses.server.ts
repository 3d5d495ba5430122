import { hostname, networkInterfaces } from "node:os";

/** Whether this computer answers other devices at all. */
export const isOnNetwork = (): boolean => !/^(?:127\.|localhost$|::1$)/.test(process.env.HOST ?? "127.0.0.1");

/**
 * Where other devices find this computer: by its address in each network that it is in, and by its name.
 *
 * @param asked an address of this server, for its scheme and its port
 */
export function ownAddresses(asked: URL): string[] {
  const numbers = Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter(({ internal, family }) => !internal && family === "IPv4")
    .map(({ address }) => address);
  return [...numbers, hostname().toLowerCase()].map((host) => {
    const port = asked.port === "" ? "" : `:${asked.port}`;
    return `${asked.protocol}//${host}${port}`;
  });
}
