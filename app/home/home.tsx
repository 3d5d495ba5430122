import { redirect } from "react-router";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { visitorContext } from "#app/server/visitor/visitor.server.ts";
import type { Route } from "./+types/home.ts";

/** Goes where the day's work is: to the day that is open, or to the next step of a farm that is just beginning. */
export function loader({ context }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { role } = context.get(visitorContext);
  if (role === "helper") throw redirect("/today");
  requireFarm(here);
  const [open] = here.file.days().filter((day) => !day.settledEntryId);
  if (open) throw redirect(`/days/${open.id}`);
  throw redirect("/batches");
}

export default function Home() {
  return null;
}
