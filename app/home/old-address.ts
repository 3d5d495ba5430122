import type { LoaderFunctionArgs } from "react-router";
import { redirect } from "react-router";

/** Where pages of earlier versions are now, by the start of their address. Bookmarks and printed links keep working. */
const MOVED: readonly (readonly [RegExp, string])[] = [
  [/^\/yard\/kit$/, "/farm/equipment"],
  [/^\/yard(?=\/|$)/, "/farm"],
  [/^\/stores(?=\/|$)/, "/freezers"],
  [/^(\/days\/\d+)\/beside$/, "$1/compare"],
  [/^(\/days\/\d+)\/paper$/, "$1/print"],
];

/** Sends an address of an earlier version to its page, with the query as it was. */
export function loader({ request }: LoaderFunctionArgs) {
  const { pathname, search } = new URL(request.url);
  const rule = MOVED.find(([old]) => old.test(pathname));
  if (!rule) throw new Response("Not found", { status: 404 });
  return redirect(pathname.replace(rule[0], rule[1]) + search, 301);
}
