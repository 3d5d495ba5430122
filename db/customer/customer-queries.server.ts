import type { Database } from "better-sqlite3";
import { type CustomerKind, isOwnerKind, type OwnerKind } from "#core/sharing/customer-kind.ts";
import { type Entry, entryQueries, type Recorded } from "#db/entry.server.ts";

/** What is said of somebody who takes birds. */
export interface CustomerFacts {
  readonly name: string;
  readonly kind: CustomerKind;
  /** A phone number, an address: whatever they left. Empty where nothing. */
  readonly contact: string;
  readonly note: string;
}

export interface Customer extends CustomerFacts {
  readonly id: number;
  readonly entryId: string;
  readonly revision: number;
  /** A removed customer is offered no more, and stays in the orders, sales and lots that they had. */
  readonly isRemoved: boolean;
}

export type BirdOwner = Customer & { readonly kind: OwnerKind };

/** Prepares every statement of the people who take birds once; call it once per connection. */
export function customerQueries(database: Database) {
  const entries = entryQueries(database);
  const selectCustomers = database.prepare<[], Customer>(`
    SELECT id, entry_id AS entryId, name, kind, contact, note, revision,
           entry_id IN (SELECT entry_id FROM entry_taken_back) AS isRemoved
      FROM customer ORDER BY name COLLATE NOCASE, id`);
  const insertCustomer = database.prepare<CustomerFacts & { entryId: string }>(
    "INSERT INTO customer (entry_id, name, kind, contact, note) VALUES (@entryId, @name, @kind, @contact, @note)",
  );
  const updateCustomer = database.prepare<CustomerFacts & { id: number; revision: number }>(`
    UPDATE customer SET name = @name, kind = @kind, contact = @contact, note = @note, revision = revision + 1
     WHERE id = @id AND revision = @revision`);
  const selectByEntry = database.prepare<[string], { id: number }>(
    "SELECT id FROM customer WHERE entry_id = ?",
  );
  const isNameTaken = (name: string, exceptId?: number) =>
    selectCustomers
      .all()
      .some((one) => !one.isRemoved && one.id !== exceptId && one.name.toLowerCase() === name.toLowerCase());

  return {
    /** All that there ever were, by name. */
    all: (): Customer[] => selectCustomers.all(),
    /** Those of them whose birds may be processed here. */
    owners: (): BirdOwner[] => selectCustomers.all().filter((one): one is BirdOwner => isOwnerKind(one.kind)),
    ofEntry: (entryId: string): number | undefined => selectByEntry.get(entryId)?.id,
    add: (entry: Entry, customer: CustomerFacts): Recorded<"name-taken"> =>
      entries.once(entry, ["customer", customer], () => {
        if (isNameTaken(customer.name)) return "name-taken";
        insertCustomer.run({ entryId: entry.entryId, ...customer });
        return undefined;
      }),
    /** Changes what is said of somebody, if no one else has since the revision that the person saw. */
    save: database.transaction(
      (
        id: number,
        seenRevision: number,
        customer: CustomerFacts,
      ): "saved" | "changed-meanwhile" | "name-taken" => {
        if (isNameTaken(customer.name, id)) return "name-taken";
        const { changes } = updateCustomer.run({ ...customer, id, revision: seenRevision });
        return changes === 1 ? "saved" : "changed-meanwhile";
      },
    ).immediate,
  };
}
