/** A form's fields by their names: "people", "lots[0].birdCount". */
export type FlatFields = Readonly<Record<string, string | undefined>>;

const IN_LIST = /^(\w+)\[(\d{1,3})\]\.(\w+)$/;

/** Fields by their names as the lists and things that the names speak of. */
export function nestedFields(fields: FlatFields): Record<string, unknown> {
  const nested: Record<string, unknown> = {};
  for (const [name, value] of Object.entries(fields)) {
    const [, list, index, field] = IN_LIST.exec(name) ?? [];
    if (list === undefined) {
      nested[name] = value;
      continue;
    }
    nested[list] ??= [];
    const things = nested[list] as Record<string, unknown>[];
    // No form of ours leaves one out.
    if (Number(index) > things.length) continue;
    things[Number(index)] ??= {};
    things[Number(index)]![field!] = value;
  }
  return nested;
}
