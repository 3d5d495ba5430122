import { Form, Link } from "react-router";
import { MoveBirds, PinHere } from "#app/season/calendar/move-birds.tsx";
import type { GroupView, SeasonView } from "#app/season/calendar/season-view.server.ts";
import {
  brokenWords,
  isTorn,
  priceWords,
  sharedWords,
  tornWords,
  whyWords,
} from "#app/season/calendar/season-words.ts";
import { Figure } from "#app/ui/figure.tsx";
import { RemoveButton } from "#app/ui/remove-button.tsx";
import { Button, ButtonLink, Notice, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { listed } from "#app/words/lot-words.ts";
import { plural } from "#app/words/show.ts";

/** What the season earns, and the button that sets it. */
export function SeasonMoney({ view }: { view: SeasonView }) {
  const show = useShow();
  const { proposal, money, broken, job, waiting, yearly } = view;
  const unplaced = waiting.filter(({ birds, placed }) => birds > placed);
  return (
    <Sheet heading="Season plan" beside={proposal && `planned ${show.dayTime(proposal.madeAt)}`}>
      <div className="grid gap-2">
        {proposal && (
          <Figure
            label="Earnings after feed, rental, and labor"
            reckoning={money.earns}
            note={howGood(view, show) || undefined}
          />
        )}
        {waiting.length === 0 && !proposal && <NothingWaits view={view} />}
        <ProposalNotices view={view} />
        {!proposal && unplaced.length > 0 && (
          <p>
            {unplaced.map(({ name, birds }) => `${plural(birds, "bird")} of ${name}`).join(", ")} without a
            day.
          </p>
        )}
        {job.fault && <Notice tone="stop">{job.fault}.</Notice>}
        <PlanTheSeason view={view} />
        {broken.length > 0 && (
          <ul className="text-sm">
            {broken.map((one) => (
              <li key={one.rule} className={one.isFirm ? "font-semibold text-barn" : ""}>
                Exceeded: {brokenWords(one)} ({priceWords(one, show)})
              </li>
            ))}
          </ul>
        )}
        {view.short.map((short) => (
          <ShortDay key={short.dayId} short={short} />
        ))}
        {yearly.cap !== undefined && (
          <p className="text-sm">
            {yearly.year}: {yearly.dressed} processed, {yearly.held} scheduled, {yearly.proposed} proposed, of{" "}
            {show.count(yearly.cap)} allowed by your rule.
          </p>
        )}
      </div>
    </Sheet>
  );
}

/** What there is to know about the plan that stands: rules it could not keep, days that come close, changes since. */
function ProposalNotices({ view: { proposal, groups, job } }: { view: SeasonView }) {
  const show = useShow();
  const dropped = proposal?.droppedBirds ?? 0;
  return (
    <>
      {proposal?.outcome === "mended" && (
        <Notice tone="stop">
          No plan meets every firm rule. This one breaks the fewest; they are listed below. Drop one, or allow
          it at a cost.
        </Notice>
      )}
      {groups.filter(isTorn).map((group) => (
        <Notice key={`${group.batchId} ${group.day}`}>
          <p className="font-semibold">
            Close call: {group.name}, {show.shortDay(group.day)} or {show.shortDay(group.next!.day)}
          </p>
          <p className="text-sm">{tornWords(group, show)}</p>
        </Notice>
      ))}
      {proposal?.isOld && !job.isWorking && (
        <Notice>
          {dropped === 0
            ? "Something changed since this plan was made."
            : `Something changed since this plan was made, and ${plural(dropped, "bird")} no longer fit: they are scheduled or lost, or the day is unavailable.`}{" "}
          Plan again to update it.
        </Notice>
      )}
    </>
  );
}

/** The button that plans the season; while it is under way, how far it is and how to stop it. */
function PlanTheSeason({ view: { proposal, job, waiting } }: { view: SeasonView }) {
  const show = useShow();
  const dollars = (cents: number) => show.money(Math.round(cents));
  if (job.isWorking) {
    return (
      <div role="status" className="grid gap-2">
        <p>
          {job.cents === undefined ? "Planning" : `Planning: ${dollars(job.cents)} so far`}
          {job.boundCents !== undefined && `, ${dollars(job.boundCents)} at most`}
        </p>
        <Form method="post" action="/season/stop">
          <Button kind="plain">Stop and use the best so far</Button>
        </Form>
      </div>
    );
  }
  if (waiting.length === 0) return null;
  return (
    <Form method="post" action="/season/set">
      <Button className="w-full">{proposal ? "Plan the season again" : "Plan the season"}</Button>
    </Form>
  );
}

/** A scheduled day that its people can't do, or that takes longer than the farm allows. */
function ShortDay({ short }: { short: SeasonView["short"][number] }) {
  const show = useShow();
  const { away, coming, fewHands, lineMinutes, longest } = short;
  return (
    <Notice>
      <Link to={`/days/${short.dayId}`} className="underline">
        {show.shortDay(short.day)}
      </Link>{" "}
      is scheduled for {plural(short.birds, "bird")} of {short.batchName}.{" "}
      {away.length > 0 && `${listed(away)} can't come. `}
      {fewHands &&
        (coming.length === 0
          ? "No one is free that day. "
          : `${listed(coming) || "nobody"} would do ${short.mostBirds} within your longest line. `)}
      {lineMinutes > longest &&
        `Its line likely takes ${show.minutes(lineMinutes)}, longer than the ${show.minutes(longest)} you allow.`}
    </Notice>
  );
}

/** What goes here, where there is nothing to set a day for. */
function NothingWaits({ view: { cells } }: { view: SeasonView }) {
  const isSet = cells.some(({ held }) => held.length > 0);
  if (isSet) return <p>Every bird has a day.</p>;
  return (
    <>
      <p>
        Add a batch, or chicks on order. You can then find the days when your birds are worth most, given your
        people, space, and money.
      </p>
      <ButtonLink to="/batches/new">Add a batch</ButtonLink>
    </>
  );
}

function howGood({ proposal, money }: SeasonView, show: ReturnType<typeof useShow>): string {
  if (!proposal) return "";
  if (proposal.outcome === "moved") return "Includes your own moves.";
  if (proposal.outcome === "mended") return "";
  const above = (money.boundCents ?? money.earns.value) - money.earns.value;
  const best = proposal.outcome === "stopped" ? "Best so far; the best possible plan earns" : "No plan earns";
  return proposal.outcome === "stopped"
    ? `${best} at most ${show.money(Math.round(Math.max(0, above)))} more.`
    : above < 100
      ? "No plan earns more."
      : `${best} more than ${show.money(Math.round(above))} above this one.`;
}

/** Each scheduled day with its reasons, its pin and its moves. */
export function SeasonGroups({
  groups,
  entryIds,
}: {
  groups: readonly GroupView[];
  entryIds: readonly string[];
}) {
  const show = useShow();
  if (groups.length === 0) return null;
  return (
    <Sheet heading="Why these days">
      <ol>
        {groups.map((group, index) => (
          <li
            key={`${group.batchId} ${group.day}`}
            id={`group-${group.batchId}-${group.day}`}
            className="grid gap-2 border-b border-rule py-3 last:border-b-0"
          >
            <h3 className="text-lg">
              {show.shortDay(group.day)}, {birdsWords(group)}
            </h3>
            <p className="text-sm">{whyWords(group, show)}</p>
            {group.shared && <p className="text-sm">{sharedWords(group.shared, show)}</p>}
            <div className="flex flex-wrap items-center gap-2">
              <ButtonLink
                to={dayAddress(group)}
                aria-label={`Schedule ${show.shortDay(group.day)} for ${group.name}`}
              >
                {group.heldDayId === undefined ? "Schedule this day" : "Add to the scheduled day"}
              </ButtonLink>
              {group.pinEntryId ? (
                <span className="flex items-center gap-1 text-sm">
                  Pinned
                  <RemoveButton entryId={group.pinEntryId} back="/season" what={`the pin on ${group.name}`} />
                </span>
              ) : (
                <PinHere group={group} entryId={`${entryIds[index]}-here`} />
              )}
            </div>
            <MoveBirds group={group} entryId={entryIds[index]!} />
          </li>
        ))}
      </ol>
    </Sheet>
  );
}

function birdsWords({ birds, name }: GroupView): string {
  const all = birds.whole + birds.cut;
  const ways = birds.cut === 0 ? "" : birds.whole === 0 ? ", cut up" : `, ${birds.cut} cut up`;
  return `${all} ${name}${ways}`;
}

function dayAddress({ batchId, day, birds, people, heldDayId }: GroupView): string {
  if (heldDayId !== undefined) {
    const lot = new URLSearchParams({ batch: String(batchId), birds: String(birds.whole + birds.cut) });
    return `/days/${heldDayId}/lots/new?${lot}`;
  }
  const query = new URLSearchParams({
    batch: String(batchId),
    on: day,
    birds: String(birds.whole + birds.cut),
    cut: String(birds.cut),
    people: String(people.length),
  });
  return `/days/new?${query}`;
}
