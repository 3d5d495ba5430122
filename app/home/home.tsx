import { redirect } from "react-router";
import { farmFile, requireFarm } from "#app/server/farm-file.server.ts";

/** Goes where the day's work is: to the day that is open, or to the next step of a farm that is just beginning. */
export function loader() {
  requireFarm();
  const [open] = farmFile()
    .days()
    .filter((day) => !day.settledEntryId);
  if (open) throw redirect(`/days/${open.id}`);
  throw redirect("/batches");
}

export default function Home() {
  return null;
}
