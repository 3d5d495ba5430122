import { data } from "react-router";
import { idFrom } from "#app/server/day-reading.server.ts";
import { farmFile } from "#app/server/farm-file.server.ts";
import type { Person } from "#db/season/people-queries.server.ts";

/** @throws a 404 page if there is no such person */
export function requirePerson(text: string | undefined): Person {
  const id = idFrom(text, "person");
  const person = farmFile()
    .people.people()
    .find((one) => one.id === id);
  if (!person) throw data("That person does not exist.", { status: 404 });
  return person;
}
