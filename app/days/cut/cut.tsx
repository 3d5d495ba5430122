import { redirect } from "react-router";
import { BirdsToCut } from "#app/days/cut/birds-to-cut.tsx";
import { cutForm } from "#app/days/cut/cut-form.ts";
import { CutParts } from "#app/days/cut/cut-parts.tsx";
import { CutTabs } from "#app/days/cut/cut-tabs.tsx";
import { HowCut } from "#app/days/cut/how-cut.tsx";
import { LeftOver } from "#app/days/cut/left-over.tsx";
import { DayHead } from "#app/days/leaves.tsx";
import { cuttingOfDay } from "#app/server/day/cutting-of-day.server.ts";
import { leftOverBefore, sharesBefore } from "#app/server/day/earlier-packs.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { ENTRY_USED, newEntryId, submitted } from "#app/server/submitted.server.ts";
import { isEntryId } from "#app/ui/read/read-field.ts";
import { ButtonLink, EmptyPlace, Page } from "#app/ui/sheet.tsx";
import { batchesInWords } from "#app/words/lot-words.ts";
import { plural } from "#app/words/show.ts";
import type { Route } from "./+types/cut.ts";

export const meta = () => [{ title: "Cut · Pale Morning" }];

export function loader({ context, params, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { day, lots } = requireDay(here, params.dayId);
  const chosen = new URL(request.url).searchParams.get("chosen");
  return {
    day,
    line: batchesInWords(lots),
    cutting: cuttingOfDay(here, day, lots, sharesBefore(here, day)),
    waiting: leftOverBefore(here, day),
    // The choice that was just made can be undone.
    chosen: isEntryId(chosen ?? "") && here.file.knowsEntry(chosen!) ? chosen! : undefined,
    schemes: here.file.cutting.schemes().map(({ id, name }) => ({ id, name })),
    people: here.file.people
      .people()
      .filter(({ usesKnives }) => usesKnives)
      .map(({ id, name }) => ({ id, name })),
    looked: here.file.run.facts(day.id).filter(({ kind, word }) => kind === "look" && word === "cut"),
    toCut: here.file.pack.carcasses(day.id).filter(({ purpose }) => purpose === "cut"),
    packs: here.file.pack.packs(day.id).map(({ productId, pieces }) => ({ productId, pieces })),
    products: here.file.catalog.products(),
    entryId: newEntryId(),
  };
}

export async function action({ context, request, params }: Route.ActionArgs) {
  const here = context.get(farmContext);
  const { day } = requireDay(here, params.dayId);
  const sent = await submitted(here, request, cutForm);
  if (!sent.ok) return sent.refusal;
  if (!here.file.cutting.saveCutPlan(sent.entry, day.id, sent.value).recorded)
    return sent.refuse({ "": ENTRY_USED });
  return redirect(`/days/${day.id}/cut`, 303);
}

export default function Cut({ loaderData, actionData }: Route.ComponentProps) {
  const { day, line, cutting } = loaderData;
  const birds = cutting.lots.reduce((sum, { cutUp }) => sum + cutUp, 0);
  return (
    <Page isWide>
      <DayHead
        dayId={day.id}
        processedOn={day.processedOn}
        line={birds > 0 ? `${plural(birds, "bird")} to cut up, ${line}` : line}
      />
      <CutTabs dayId={day.id} />
      {birds === 0 ? (
        <EmptyPlace
          heading="No birds to cut up"
          action={
            <>
              <ButtonLink to={`/days/${day.id}/pack`}>To packing</ButtonLink>
              <ButtonLink kind="plain" to={`/days/${day.id}/cut/choose`}>
                Choose the biggest
              </ButtonLink>
            </>
          }
        >
          <p>
            A bird that is weighed under Pack with the use “Cut up” comes here: bruised ones first, or the
            biggest. This page then says what they make, pack by pack, and how long the cutting and sealing
            take.
          </p>
        </EmptyPlace>
      ) : (
        <div className="grid items-start gap-5 lg:grid-cols-3">
          <div className="grid gap-5 lg:col-span-2">
            {cutting.lots
              .filter(({ cutUp }) => cutUp > 0)
              .map((lot) => (
                <CutParts key={lot.id} lot={lot} {...loaderData} />
              ))}
            <BirdsToCut {...loaderData} />
            <LeftOver {...loaderData} />
          </div>
          <HowCut {...loaderData} refusal={actionData} />
        </div>
      )}
    </Page>
  );
}
