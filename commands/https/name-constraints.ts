import { isIP } from "node:net";

/**
 * The extension by which an authority is good for some names and addresses only (RFC 5280, 4.2.1.10): a sequence of permitted
 * subtrees, each a DNS name or an address with a mask of one machine. Written byte by byte: the library that makes our certificates
 * has no words for it.
 */
export const nameConstraints = {
  id: "2.5.29.30",
  /** @param names DNS names, and addresses of version 4 or 6 */
  of: (names: readonly string[]): Uint8Array<ArrayBuffer> =>
    new Uint8Array(part(0x30, part(0xa0, Buffer.concat(names.map((name) => part(0x30, base(name))))))),
};

const DNS_NAME = 0x82;
const IP_ADDRESS = 0x87;

function base(name: string): Buffer {
  const version = isIP(name);
  if (version === 0) return part(DNS_NAME, Buffer.from(name, "latin1"));
  const address = version === 4 ? Buffer.from(name.split(".").map(Number)) : addressOfVersion6(name);
  return part(IP_ADDRESS, Buffer.concat([address, Buffer.alloc(address.length, 0xff)]));
}

function addressOfVersion6(text: string): Buffer {
  const [head = "", tail] = text.split("::");
  const groups = (one: string) =>
    one === "" ? [] : one.split(":").map((group) => Number.parseInt(group, 16));
  const first = groups(head);
  const last = tail === undefined ? [] : groups(tail);
  const between = Array<number>(8 - first.length - last.length).fill(0);
  return Buffer.from([...first, ...between, ...last].flatMap((group) => [group >> 8, group & 0xff]));
}

/** A tag, the length of what it holds, and what it holds. */
function part(tag: number, content: Buffer): Buffer {
  const length = content.length;
  const size =
    length < 0x80 ? [length] : length < 0x100 ? [0x81, length] : [0x82, length >> 8, length & 0xff];
  return Buffer.concat([Buffer.from([tag, ...size]), content]);
}
