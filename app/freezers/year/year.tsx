import { Form, Link } from "react-router";
import { stockForHome } from "#app/freezers/year/stock-for-home.server.ts";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { AskBox } from "#app/ui/ask-box.tsx";
import { Figure } from "#app/ui/figure.tsx";
import { Button, ButtonLink, EmptyPlace, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { addDays } from "#core/calendar/local-day.ts";
import { readNumber } from "#core/quantity/read-number.ts";
import { chicksFor, servingsOfBird } from "#core/sharing/birds-at-home.ts";
import { weeksLeft } from "#core/sharing/weeks-left.ts";
import type { Route } from "./+types/year.ts";

export const meta = () => [{ title: "Through the year · Pale Morning" }];

/** More birds a week than any household eats. */
const MOST_A_WEEK = 50;
/** Beyond this nobody needs a date. */
const MOST_WEEKS = 520;
const DAYS_PER_WEEK = 7;

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const today = localDayOf(here.now(), farm.timeZone);
  const { searchParams } = new URL(request.url);
  const withSale = searchParams.get("with") === "sale";
  const stock = stockForHome(here, today, withSale);
  const typed = (searchParams.get("rate") ?? "").trim().slice(0, 20);
  const read = typed === "" ? undefined : readNumber(typed, { commaGroups: false });
  const isRead = typed === "" || (read !== undefined && read >= 0 && read <= MOST_A_WEEK);
  const rate = typed !== "" && isRead ? read! : stock.birdsPerWeek;
  const left =
    rate === undefined
      ? undefined
      : weeksLeft({
          wholeBirds: stock.wholeBirds,
          cutKilograms: stock.cutKilograms,
          kilogramsPerBird: stock.kilogramsPerBird,
          birdsPerWeek: { value: rate, provenance: typed === "" ? "measured" : "farm-setting" },
        });
  return {
    typed,
    isRead,
    withSale,
    ownRate: stock.birdsPerWeek,
    rate,
    isEmpty: stock.wholeBirds === 0 && stock.cutKilograms === 0,
    left,
    lastUntil:
      left?.weeks && left.weeks.value <= MOST_WEEKS
        ? addDays(today, Math.floor(left.weeks.value * DAYS_PER_WEEK))
        : undefined,
    chicks: left && chicksFor(left.shortForYear),
    kilogramsPerBird: stock.kilogramsPerBird.value,
  };
}

/** How long the household's birds last, and how many to raise next. */
export default function Year({ loaderData }: Route.ComponentProps) {
  const { isEmpty, left } = loaderData;
  return (
    <Page>
      <PageHead title="Through the year" line="how long your household's birds last" />
      <Rate {...loaderData} />
      {isEmpty && (
        <EmptyPlace
          heading="Nothing set aside for you"
          action={<ButtonLink to="/freezers">Freezers</ButtonLink>}
        >
          <p>
            Birds and packs that are weighed for “home use” are counted here. Check the box above to count
            what is for sale too.
          </p>
        </EmptyPlace>
      )}
      {left && <Have {...loaderData} left={left} />}
    </Page>
  );
}

type Loaded = Route.ComponentProps["loaderData"];

function Rate({ typed, isRead, withSale, ownRate }: Loaded) {
  const show = useShow();
  return (
    <Sheet heading="How fast you eat them" className="max-w-prose">
      <Form method="get" className="grid gap-3 py-2">
        <AskBox
          key={typed}
          name="rate"
          label="Birds a week"
          hint={
            ownRate === undefined
              ? "Such as 1, or 0.5 for one every two weeks"
              : `Leave empty for your own rate: ${show.value(ownRate, "per-week")}, by what was taken out for eating`
          }
          defaultValue={typed}
          inputMode="decimal"
          maxLength={20}
          fault={isRead ? undefined : `Enter a number from 0 to ${MOST_A_WEEK}, such as 1.5`}
        />
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            name="with"
            value="sale"
            defaultChecked={withSale}
            className="size-5 shrink-0 accent-pine"
          />
          Count packs for sale too
        </label>
        <Button kind="plain" className="justify-self-start">
          Show
        </Button>
      </Form>
    </Sheet>
  );
}

function Have({
  isEmpty,
  left,
  lastUntil,
  chicks,
  ...loaded
}: Loaded & { left: NonNullable<Loaded["left"]> }) {
  const show = useShow();
  return (
    <Sheet heading={isEmpty ? "What you need" : "What you have"} className="max-w-prose">
      {!isEmpty && <Lasting left={left} lastUntil={lastUntil} />}
      <p className="py-2">
        {left.shortForYear === 0
          ? "That is enough for a year."
          : `${plural(left.shortForYear, "bird")} more for a full year: order about ${plural(chicks ?? 0, "chick")}, since some are always lost.`}{" "}
        A bird of {show.value(loaded.kilogramsPerBird, "carcass-kg")} is about{" "}
        {plural(servingsOfBird(loaded.kilogramsPerBird), "serving")}, soup from the frame aside.
      </p>
      <p className="py-1 print:hidden">
        <Link to="/season/chicks" className="lone-link">
          How many chicks, and when?
        </Link>
      </p>
    </Sheet>
  );
}

/** What there is, and until when it lasts. */
function Lasting({ left, lastUntil }: { left: NonNullable<Loaded["left"]>; lastUntil: Loaded["lastUntil"] }) {
  const show = useShow();
  return (
    <>
      <Figure
        label="Birds in stock"
        reckoning={left.birds}
        beside="whole, and cuts counted as birds"
        size="small"
      />
      {left.weeks && left.weeks.value <= MOST_WEEKS ? (
        <Figure
          label="They last"
          reckoning={left.weeks}
          beside={lastUntil && `until about ${show.dayWithYear(lastUntil)}`}
        />
      ) : (
        <p>At that rate they never run out.</p>
      )}
    </>
  );
}
