import { data } from "react-router";
import type { FarmContext } from "#app/server/farm/farm-context.server.ts";
import { idFrom } from "#app/server/farm/required.server.ts";
import type { Person } from "#db/season/people-queries.server.ts";

/** @throws a 404 page if there is no such person */
export function requirePerson(here: FarmContext, text: string | undefined): Person {
  const id = idFrom(text, "person");
  const person = here.file.people.people().find((one) => one.id === id);
  if (!person) throw data("That person does not exist.", { status: 404 });
  return person;
}
