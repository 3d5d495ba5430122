import type { ServerBuild } from "react-router";
import type { readWithPool } from "#app/server/pooled/pooled.server.ts";

type Route = NonNullable<ServerBuild["routes"][string]>;

/**
 * The built application with every page's reading of the file wrapped, so that nothing it calculates holds up the others.
 * What wraps them comes from the build itself, whose modules are not those of this program.
 */
export function withReadings(build: ServerBuild): ServerBuild {
  const { readWithPool: within } = build.entry.module as unknown as { readWithPool: typeof readWithPool };
  const wrapped = (route: Route): Route => {
    const { loader } = route.module;
    if (!loader) return route;
    return {
      ...route,
      module: { ...route.module, loader: (args) => within(args.request.signal, async () => loader(args)) },
    };
  };
  return {
    ...build,
    routes: Object.fromEntries(
      Object.entries(build.routes).map(([id, route]) => [id, route && wrapped(route)]),
    ),
  };
}
