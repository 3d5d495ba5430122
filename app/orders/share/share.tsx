import { data, Form, redirect, useNavigation } from "react-router";
import { Households } from "#app/orders/share/households.tsx";
import { askedSplit, readAsked, readAssignment } from "#app/orders/share/share-form.ts";
import { sharedLot, shareOf } from "#app/orders/share/share-reading.server.ts";
import { type LoadedShare, SplitFields } from "#app/orders/share/split-fields.tsx";
import { SwapBirds } from "#app/orders/share/swap-birds.tsx";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { formFields, newEntryId } from "#app/server/submitted.server.ts";
import { isEntryId } from "#app/ui/read/read-field.ts";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Button, ButtonLink, EmptyPlace, Notice, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { SHARE_BASES } from "#core/sharing/share-basis.ts";
import type { Route } from "./+types/share.ts";

export const meta = () => [{ title: "Share birds · Pale Morning" }];

export function loader({ context, params, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const lot = sharedLot(here, params.dayId, params.lotId);
  const { searchParams } = new URL(request.url);
  const saved = here.file.sharing.ofLot(lot.lot.id);
  const isAgain = searchParams.has("again") || searchParams.has("basis");
  const inStock = lot.birds.filter(({ isStored }) => isStored).length;
  const split = askedSplit(searchParams, inStock);
  const shown =
    saved && !isAgain
      ? { basis: saved.basis, asked: saved.parts }
      : split.fault === undefined && split.asked.length > 0
        ? split
        : undefined;
  return {
    day: lot.day,
    lot: { id: lot.lot.id, batchName: lot.lot.batchName },
    birds: inStock,
    households: here.file.customers
      .all()
      .filter(
        ({ isRemoved, kind }) =>
          !isRemoved && (kind === "household" || kind === "own" || kind === "neighbor"),
      ),
    typed: Object.fromEntries(searchParams),
    basis: shown?.basis ?? split.basis,
    fault: split.fault,
    share: shown && shareOf(here, lot, shown.basis, shown.asked),
    saved: saved && !isAgain ? { entryId: saved.entryId } : undefined,
    entryId: newEntryId(),
  };
}

export async function action({ context, params, request }: Route.ActionArgs) {
  const here = context.get(farmContext);
  requireFarm(here);
  const lot = sharedLot(here, params.dayId, params.lotId);
  const fields = await formFields(request);
  const text = (name: string) => String(fields.get(name) ?? "");
  const parts = readAssignment(text("assignment"));
  const asked = readAsked(text("asked"));
  const basis = SHARE_BASES.find((one) => one === text("basis"));
  if (
    !parts ||
    !asked ||
    !basis ||
    !isEntryId(text("entryId")) ||
    !parts.every(({ customerId }) => asked.has(customerId))
  )
    throw data("That split could not be read. Go back and calculate it again.", { status: 400 });
  const swapped = swap(parts, Number(text("one")), Number(text("other")));
  const outcome = here.file.sharing.save({ entryId: text("entryId"), at: here.now() }, lot.lot.id, {
    basis,
    parts: swapped.map((part) => ({ ...part, asked: asked.get(part.customerId)! })),
  });
  if (!outcome.recorded) {
    const why = {
      "customer-removed":
        "One of the households was taken off the list meanwhile. Calculate the split again.",
      "pack-unknown": "One of the birds was removed meanwhile. Calculate the split again.",
      "entry-used": "This split was saved already. Reload the page.",
    };
    throw data(why[outcome.reason], { status: 409 });
  }
  return redirect(`/orders/share/${lot.day.id}/${lot.lot.id}`, 303);
}

type Parts = NonNullable<ReturnType<typeof readAssignment>>;

/** Two birds change places; nothing changes where none was named. */
function swap(parts: Parts, one: number, other: number): Parts {
  const instead = (id: number) => (id === one ? other : id === other ? one : id);
  return one > 0 && other > 0
    ? parts.map(({ customerId, packIds }) => ({ customerId, packIds: packIds.map(instead) }))
    : parts;
}

/** Birds of one lot, shared among those who raised them: as evenly as their weights allow, and what each owes. */
export default function Share({ loaderData }: Route.ComponentProps) {
  const { day, lot, birds, households, share, saved } = loaderData;
  const show = useShow();
  return (
    <Page isWide>
      <PageHead
        title="Share birds"
        line={`${lot.batchName}, processed ${show.longDay(day.processedOn)}: ${plural(birds, "bird")} in stock`}
      />
      {birds === 0 && !share && (
        <EmptyPlace
          heading="No birds to share yet"
          action={<ButtonLink to={`/days/${day.id}/pack`}>Weigh birds</ButtonLink>}
        >
          <p>
            Weigh the whole birds of this lot first. Then say which households share them, and each gets birds
            that come as close to its fair weight as they can, and its part of the cost.
          </p>
        </EmptyPlace>
      )}
      {households.length < 2 && (
        <Notice>
          Add the households that share, yourselves included, under{" "}
          <ButtonLink kind="plain" to="/orders/customers">
            Customers
          </ButtonLink>
        </Notice>
      )}
      {!saved && birds > 0 && households.length >= 2 && <WhoShares {...loaderData} />}
      {share && <Households {...loaderData} share={share} />}
      {share && !saved && <Save {...loaderData} share={share} />}
      {share && saved && (
        <>
          <SwapBirds {...loaderData} share={share} />
          <div className="flex flex-wrap items-baseline gap-4 print:hidden">
            <ButtonLink kind="plain" to="?again=1">
              Split again
            </ButtonLink>
            <RemoveButton
              entryId={saved.entryId}
              back={`/orders/share/${day.id}/${lot.id}`}
              what="the last split"
              verb="undo"
            />
          </div>
        </>
      )}
    </Page>
  );
}

/** Who shares, and how much each should get. */
function WhoShares({ households, typed, basis, fault, birds }: Route.ComponentProps["loaderData"]) {
  const { state } = useNavigation();
  return (
    <Sheet heading="Who shares them" className="max-w-prose print:hidden">
      <Form method="get" className="grid gap-4 py-2">
        <fieldset className="grid gap-2">
          <legend className="font-semibold">How it is shared</legend>
          <label className="flex min-h-11 items-center gap-3">
            <input
              type="radio"
              name="basis"
              value="birds"
              defaultChecked={basis === "birds"}
              className="size-5 shrink-0 accent-pine"
            />
            Each so many birds: {birds} in all
          </label>
          <label className="flex min-h-11 items-center gap-3">
            <input
              type="radio"
              name="basis"
              value="weight"
              defaultChecked={basis === "weight"}
              className="size-5 shrink-0 accent-pine"
            />
            Each so large a part of the weight: 1 and 2 are a third and two thirds
          </label>
        </fieldset>
        {households.map(({ id, name }) => (
          <label key={id} className="grid gap-1">
            <span className="font-semibold">{name}</span>
            <input
              name={`birds-${id}`}
              defaultValue={typed[`birds-${id}`] ?? ""}
              inputMode="numeric"
              maxLength={6}
              autoComplete="off"
              aria-invalid={fault !== undefined}
              aria-describedby={fault === undefined ? undefined : "share-fault"}
              className="field-box max-w-40"
            />
          </label>
        ))}
        {fault !== undefined && (
          <p id="share-fault" role="alert" className="font-semibold text-barn">
            {fault}.
          </p>
        )}
        <Button className="justify-self-start" disabled={state !== "idle"}>
          Find the fairest split
        </Button>
      </Form>
    </Sheet>
  );
}

function Save({ share, basis, entryId }: LoadedShare) {
  return (
    <Form method="post" className="print:hidden">
      <SplitFields share={share} basis={basis} entryId={entryId} />
      <Button>Save this split</Button>
    </Form>
  );
}
