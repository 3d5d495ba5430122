import { data } from "react-router";

/**
 * Only a path of this application: `//elsewhere` would leave it, and so would one that a browser reads as that.
 *
 * @throws a 400 page for any other
 */
export function requireOwnPath(path: string): void {
  if (!/^\/(?:[a-z0-9-][\w./?=&%#+-]*)?$/i.test(path))
    throw data("That page can't be returned to.", { status: 400 });
}
