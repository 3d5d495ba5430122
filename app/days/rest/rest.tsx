import { DayHead } from "#app/days/leaves.tsx";
import { planOf, progressOf } from "#app/server/day/plan-of-day.server.ts";
import { farmContext } from "#app/server/farm/farm-context.server.ts";
import { placeOf } from "#app/server/farm/farm-means.server.ts";
import { requireDay } from "#app/server/farm/required.server.ts";
import { Figure } from "#app/ui/figure.tsx";
import { ButtonLink, EmptyPlace, Notice, Page, Sheet } from "#app/ui/sheet.tsx";
import { SkyRibbon } from "#app/ui/sky-ribbon.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { batchesInWords } from "#app/words/lot-words.ts";
import { plural } from "#app/words/show.ts";
import { HOUR } from "#core/calendar/milliseconds.ts";
import { CHILL } from "#core/chill/chill-constants.ts";
import type { BirdKind } from "#core/growth/bird-kind.ts";
import { input, reckoning } from "#core/reckoning/reckoning.ts";
import type { InputName } from "#core/reckoning/reckoning-names.ts";
import { type RestStage, RIGOR_ONSET_HOURS, RIGOR_OVER_HOURS, restStage } from "#core/rest/rest.ts";
import { skyBetween } from "#core/sky/farm-sky.ts";
import type { Route } from "./+types/rest.ts";

export const meta = () => [{ title: "Rest · Pale Morning" }];

export function loader({ context, params }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const { farm, day, lots } = requireDay(here, params.dayId);
  const { firstBirdAt, lastBirdAt, done } = progressOf(here, day);
  const at = here.now();
  const head = {
    dayId: day.id,
    processedOn: day.processedOn,
    line: `${plural(done, "bird")} of ${batchesInWords(lots)}`,
  };
  if (firstBirdAt === undefined || lastBirdAt === undefined) return { head, resting: undefined };
  // The lot that needs longest decides: the chill does not know which bird is of which lot.
  const kind = slowestToRest(lots.map(({ batch }) => batch.kind));
  const overHours = RIGOR_OVER_HOURS[kind];
  const chillHours = planOf(here, farm, day).plan.chill.hours;
  const since = (from: number, name: InputName) =>
    reckoning({
      value: Math.max(0, at - from) / HOUR,
      unit: "hours",
      provenance: "measured",
      inputs: [input(name, from, "instant", "measured"), input("now", at, "instant", "measured")],
      rule: "time-since-chill",
      source: "rest",
    });
  const readyAt = reckoning({
    value: lastBirdAt + overHours * HOUR,
    unit: "instant",
    inputs: [
      input("last-bird-into-the-chill-tank", lastBirdAt, "instant", "measured"),
      input("until-rigor-ends", overHours, "hours", "our-estimate"),
    ],
    rule: "rest-over",
    source: "rest",
  });
  const place = placeOf(farm);
  return {
    head,
    resting: {
      at,
      firstHours: since(firstBirdAt, "first-bird-into-the-chill-tank"),
      lastHours: since(lastBirdAt, "last-bird-into-the-chill-tank"),
      saying: saying(restStage((at - firstBirdAt) / HOUR, kind), restStage((at - lastBirdAt) / HOUR, kind)),
      readyAt,
      chillHours,
      coldAt: lastBirdAt + chillHours.value * HOUR,
      lastBirdAt,
      rigorAt: firstBirdAt + RIGOR_ONSET_HOURS * HOUR,
      sky: skyBetween(
        firstBirdAt - HOUR,
        Math.max(readyAt.value + 4 * HOUR, Math.min(at, readyAt.value + 24 * HOUR) + HOUR),
        place,
      ),
    },
  };
}

const slowestToRest = (kinds: readonly BirdKind[]): BirdKind =>
  kinds.reduce((one, other) => (RIGOR_OVER_HOURS[other] > RIGOR_OVER_HOURS[one] ? other : one));

const ALL: Readonly<Record<RestStage, string>> = {
  "before-rigor": "They can be cooked within the hour, before rigor sets in. After that, wait.",
  "in-rigor": "Not yet. Birds frozen or cooked during rigor are tough. Keep them cold.",
  rested: "They are rested. You can freeze, cook, or cut them up.",
};

/** What may be done with birds of which the first and the last stand where they stand. */
function saying(first: RestStage, last: RestStage): string {
  if (first === last) return ALL[first];
  return first === "rested"
    ? "The first birds are rested; the last are not. Freeze or cook them in the order they went in."
    : "The first birds are going into rigor; leave them. Only the last few can still be cooked, within the hour.";
}

export default function Rest({ loaderData: { head, resting } }: Route.ComponentProps) {
  const show = useShow();
  return (
    <Page>
      <DayHead {...head} />
      {!resting && <NothingRests dayId={head.dayId} />}
      {resting && (
        <>
          <SkyRibbon
            sky={resting.sky}
            marks={[
              { at: resting.rigorAt, label: "Rigor begins" },
              { at: resting.coldAt, label: `under ${show.temperature(CHILL.targetCelsius)}` },
              { at: resting.readyAt.value, label: "Rested" },
              { at: resting.at, label: "Now", tone: "now" },
            ]}
            spans={[{ from: resting.lastBirdAt, to: resting.readyAt.value, strength: "half" }]}
            sentence={`Resting until ${show.dayTime(resting.readyAt.value)}.`}
          />
          <Notice tone={resting.saying === ALL.rested ? "plain" : "heed"}>
            <p className="font-display text-xl">{resting.saying}</p>
          </Notice>
          <Sheet heading="Rest">
            <div className="grid gap-x-8 lg:grid-cols-3 lg:*:border-b-0">
              <Figure
                label="Rested so far, last bird to first"
                reckoning={resting.lastHours}
                to={resting.firstHours}
              />
              <Figure label="Ready to freeze or cook from" reckoning={resting.readyAt} />
              <Figure
                label={`A heavy bird takes this long to reach ${show.temperature(CHILL.targetCelsius)}`}
                reckoning={resting.chillHours}
                note={
                  <p className="text-soft">
                    The last bird went in at {show.dayTime(resting.lastBirdAt)}, so check it with a probe at{" "}
                    {show.dayTime(resting.coldAt)}. Follow your local rules.
                  </p>
                }
              />
            </div>
          </Sheet>
        </>
      )}
    </Page>
  );
}

function NothingRests({ dayId }: { dayId: number }) {
  return (
    <EmptyPlace
      heading="No birds resting yet"
      action={<ButtonLink to={`/days/${dayId}/run`}>To the run</ButtonLink>}
    >
      <p>
        Each bird counted into the chill tank starts its rest. This page shows how long they have rested and
        when you can freeze or cook them.
      </p>
      <p>
        If you didn't count birds, rest them about a day from the last one, two days for old birds, and go on
        to Pack.
      </p>
    </EmptyPlace>
  );
}
