import { townsLike } from "#app/farm/first-run/towns.server.ts";
import type { Route } from "./+types/towns.ts";

/** Towns for what was typed, as the first page asks while somebody types. */
export const loader = ({ request }: Route.LoaderArgs) =>
  townsLike(new URL(request.url).searchParams.get("like") ?? "");
