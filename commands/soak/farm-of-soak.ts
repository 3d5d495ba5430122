import { makeFarmOfTests } from "#app/farm-of-tests.ts";
import { type Fields, RECORDED } from "#app/recorded-actions-of-tests.ts";
import routes from "#app/routes.ts";
import { openFarmFile } from "#db/farm-file.server.ts";

/** The small farm of the tests: every form of theirs can be sent to it. */
export function makeSmallFarm(path: string): void {
  const file = openFarmFile(path);
  makeFarmOfTests(file);
  file.close();
}

/** A form that is kept as a fact, and where it is sent. */
export interface KeptForm {
  readonly path: string;
  readonly fields: Fields;
}

/** One form of every kind of fact, in an order in which each can be kept. */
export const KEPT_FORMS: readonly KeptForm[] = RECORDED.map(({ route, params = {}, query = "", fields }) => {
  const { path = "" } = routes.find(({ file }) => file === route) ?? {};
  return { path: `/${path.replace(/:(\w+)/g, (_, name: string) => params[name] ?? "1")}${query}`, fields };
});
