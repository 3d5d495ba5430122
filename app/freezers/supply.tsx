import { data, redirect } from "react-router";
import { supplyMoveForm } from "#app/freezers/supply-form.ts";
import { type FarmContext, farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { faultsOf, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { FarmForm } from "#app/ui/farm-form.tsx";
import { ChoiceField, TextField } from "#app/ui/field.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { supplyAmount, supplyUnit } from "#app/words/supply-words.ts";

import { localDayOf } from "#core/calendar/farm-time.ts";
import type { Route } from "./+types/supply.ts";

export const meta = () => [{ title: "Supply · Pale Morning" }];

function requireSupply(here: FarmContext, text: string) {
  const supply = here.file.supplying.supply(/^\d{1,9}$/.test(text) ? Number(text) : 0);
  if (!supply) throw data("That supply does not exist.", { status: 404 });
  return supply;
}

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const supply = requireSupply(here, params.supplyId);
  return {
    supply,
    moves: here.file.supplying.moves(supply.id).toReversed(),
    today: localDayOf(here.now(), farm.timeZone),
    entryId: newEntryId(),
  };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const supply = requireSupply(here, params.supplyId);
  const sent = await submitted(here, request, supplyMoveForm(supply.kind, farm.unitSystem));
  if (!sent.ok) return sent.refusal;
  const faults = faultsOf(here.file.supplying.move(sent.entry, supply.id, sent.value), {});
  return faults ? sent.refuse(faults) : redirect(`/freezers/supplies/${supply.id}`, 303);
}

export default function Supply({ loaderData, actionData }: Route.ComponentProps) {
  const { supply, moves, today, entryId } = loaderData;
  const show = useShow();
  const amountOf = (amount: number) => supplyAmount(supply.kind, amount, show);
  return (
    <Page>
      <PageHead
        title={supply.name}
        line={
          supply.inStock === undefined
            ? "not counted yet"
            : `${amountOf(supply.inStock)} in stock; ${amountOf(supply.packAmount)} for ${show.money(supply.packCents)}`
        }
      />
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <Sheet heading="Update stock">
          <FarmForm
            key={moves.length}
            schema={supplyMoveForm(supply.kind, show.unitSystem)}
            refusal={actionData}
            entryId={entryId}
            defaults={{ kind: "bought", movedOn: today }}
            submit="Save"
          >
            {(fields) => (
              <>
                <ChoiceField field={fields.kind} label="What happened?" options={MOVE_OPTIONS} />
                <TextField
                  field={fields.amount}
                  label="Quantity"
                  unit={supplyUnit(supply.kind, show)}
                  inputMode="text"
                />
                <TextField field={fields.movedOn} label="Date" type="date" />
              </>
            )}
          </FarmForm>
        </Sheet>
        <History supply={supply} moves={moves} />
      </div>
    </Page>
  );
}

const MOVE_OPTIONS = [
  { value: "bought", label: "Bought", line: "added to stock" },
  { value: "counted", label: "Counted", line: "stock on hand" },
];

function History({ supply, moves }: Pick<Route.ComponentProps["loaderData"], "supply" | "moves">) {
  const show = useShow();
  const amountOf = (amount: number) => supplyAmount(supply.kind, amount, show);
  return (
    <Sheet heading="History">
      {moves.length === 0 && <p>Nothing yet.</p>}
      <ul>
        {moves.map((move) => (
          <li
            key={`${move.entryId}${move.movedOn}`}
            className="flex items-baseline justify-between gap-3 border-b border-rule py-2 last:border-b-0"
          >
            <span>
              {show.dayWithYear(move.movedOn)}: {move.kind}{" "}
              <b className="font-mono">{amountOf(move.amount)}</b>
            </span>
            {move.kind !== "used" && move.entryId !== supply.entryId && (
              <RemoveButton
                entryId={move.entryId}
                back={`/freezers/supplies/${supply.id}`}
                what={`${move.kind} ${amountOf(move.amount)}`}
              />
            )}
          </li>
        ))}
      </ul>
      <div className="flex items-baseline gap-2 pt-3 text-sm">
        <span>No longer used?</span>
        <RemoveButton entryId={supply.entryId} back="/freezers/supplies" what={supply.name} />
      </div>
    </Sheet>
  );
}
