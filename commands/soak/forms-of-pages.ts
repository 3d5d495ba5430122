import routes from "#app/routes.ts";

/** A form as a page shows it. */
export interface ShownForm {
  /** Where it is sent. */
  readonly path: string;
  readonly fields: readonly (readonly [name: string, value: string])[];
}

/** Every address that a route answers, its places for ids still in it. */
export const ROUTE_PATHS: readonly string[] = routes.map(({ path }) => `/${path ?? ""}`);

/** A path with ids that the demo farm has. */
export const filledPath = (path: string, id: () => string): string => path.replace(/:\w+|\*/g, id);

const FORM = /<form\b([^>]*)>(.*?)<\/form>/gs;
const CONTROL = /<(input|select|textarea|button)\b([^>]*)>/g;

/** What the forms of a page send where nothing is typed. */
export function formsOf(html: string, path: string): ShownForm[] {
  return [...html.matchAll(FORM)].map(([, head = "", inside = ""]) => ({
    path: attribute(head, "action") ?? path,
    fields: [...inside.matchAll(CONTROL)].flatMap(([, , of = ""]) => {
      const name = attribute(of, "name");
      return name === undefined ? [] : [[name, attribute(of, "value") ?? ""] as const];
    }),
  }));
}

function attribute(text: string, name: string): string | undefined {
  const value = new RegExp(`\\b${name}="([^"]*)"`).exec(text)?.[1];
  return value
    ?.replaceAll("&quot;", '"')
    .replaceAll("&#x27;", "'")
    .replaceAll("&lt;", "<")
    .replaceAll("&amp;", "&");
}
