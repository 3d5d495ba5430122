import { sellPath } from "#app/orders/sell/sell-path.ts";
import type { LoadedShare } from "#app/orders/share/split-fields.tsx";
import { ButtonLink, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";

/** What each household gets and owes. */
export function Households({ share, saved, birds }: LoadedShare) {
  const show = useShow();
  const largest = share.households.reduce(
    (most, { gapMilligrams }) => Math.max(most, Math.abs(gapMilligrams)),
    0,
  );
  return (
    <>
      <p className="font-display text-xl">
        {largest === 0
          ? "Everyone gets just what they should."
          : `Nobody is off by more than ${show.gap(largest)}.`}{" "}
        <span className="font-sans text-base">
          The mean is {show.bird(share.meanMilligrams)} a bird
          {saved ? "" : `, over ${plural(birds, "bird")}`}.
        </span>
      </p>
      <div className="grid items-start gap-5 md:grid-cols-2 xl:grid-cols-3">
        {share.households.map((one) => (
          <Household key={one.customerId} one={one} isSaved={saved !== undefined} />
        ))}
      </div>
    </>
  );
}

interface HouseholdProps {
  one: LoadedShare["share"]["households"][number];
  isSaved: boolean;
}

function Household({ one, isSaved }: HouseholdProps) {
  const show = useShow();
  return (
    <Sheet heading={one.name} beside={plural(one.birds.length, "bird")} className="break-inside-avoid">
      <p className="font-display text-xl">{show.bird(one.milligrams)}</p>
      <p className="text-sm">
        {Math.abs(one.gapMilligrams) < 1
          ? "exactly its share"
          : `${show.gap(Math.abs(one.gapMilligrams))} ${one.gapMilligrams > 0 ? "more" : "less"} than its share`}
      </p>
      <dl className="my-2 grid grid-cols-2 border-y border-rule py-1">
        {one.cost
          .filter(({ cents }) => cents > 0)
          .map(({ what, cents }) => (
            <div key={what} className="contents">
              <dt>{what}</dt>
              <dd className="text-right font-mono">{show.money(cents)}</dd>
            </div>
          ))}
        <dt className="font-semibold">Owes</dt>
        <dd className="text-right font-mono font-semibold">{show.money(one.totalCents)}</dd>
      </dl>
      <p className="text-sm">
        {one.birds
          .map(({ birdNumber, code, milligrams }) => `${birdNumber} (${code}, ${show.bird(milligrams)})`)
          .join(" · ")}
      </p>
      {isSaved && one.birds.some(({ isStored }) => isStored) && (
        <ButtonLink
          kind="plain"
          className="my-2 print:hidden"
          to={`${sellPath({
            packIds: one.birds.filter(({ isStored }) => isStored).map(({ packId }) => packId),
            order: undefined,
            customer: { id: one.customerId },
            step: "pay",
          })}&total=${one.totalCents}`}
        >
          Hand over
        </ButtonLink>
      )}
      {isSaved && one.birds.every(({ isStored }) => !isStored) && <p className="py-2">Handed over.</p>}
    </Sheet>
  );
}
