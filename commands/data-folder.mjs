import { join } from "node:path";
import envPaths from "env-paths";

/** Where a farm's data file lies if no one says otherwise: the user's own data folder. */
export function defaultDataFile(name) {
  return join(envPaths("pale-morning", { suffix: "" }).data, name);
}
