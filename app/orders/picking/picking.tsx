import { Form } from "react-router";
import { farmContext, requireFarm } from "#app/server/farm/farm-context.server.ts";
import { ordersNow } from "#app/server/order/orders-now.server.ts";
import { AskBox } from "#app/ui/ask-box.tsx";
import { Button, EmptyPlace, Page, PageHead, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { orderLineWords } from "#app/words/order-words.ts";
import { localDayOf } from "#core/calendar/farm-time.ts";
import { addDays, isLocalDay } from "#core/calendar/local-day.ts";
import { packCode } from "#core/label/pack-code.ts";
import type { Route } from "./+types/picking.ts";

export const meta = () => [{ title: "Picking list · Pale Morning" }];

/** So many days ahead are picked for where nobody has said. */
const AHEAD_DAYS = 7;

export function loader({ context, request }: Route.LoaderArgs) {
  const here = context.get(farmContext);
  const farm = requireFarm(here);
  const today = localDayOf(here.now(), farm.timeZone);
  const asked = new URL(request.url).searchParams.get("by") ?? "";
  const by = isLocalDay(asked) ? asked : addDays(today, AHEAD_DAYS);
  const packs = new Map(here.file.freezers.stored().map((pack) => [pack.id, pack]));
  const places = new Map(here.file.places().map(({ id, name }) => [id, name]));
  return {
    by,
    times: ordersNow(here, farm)
      .filter(({ wantedOn }) => wantedOn <= by)
      .map(({ key, order, wantedOn, lines }) => ({
        key,
        name: order.customerName,
        note: order.note,
        wantedOn,
        lines: lines.map((line) => ({
          ...line,
          short: line.packs === undefined ? 0 : line.packs - line.fill.packIds.length,
          packs: line.packs,
          pick: line.fill.packIds.flatMap((id) => {
            const pack = packs.get(id);
            return pack
              ? [
                  {
                    code: packCode(id),
                    place: (pack.placeId !== undefined && places.get(pack.placeId)) || "no location",
                    weightMilligrams: pack.weightMilligrams,
                  },
                ]
              : [];
          }),
        })),
      })),
  };
}

/** What to take out of which freezer for whom; without prices, so that anyone may carry it. */
export default function Picking({ loaderData: { by, times } }: Route.ComponentProps) {
  const show = useShow();
  return (
    <Page>
      <PageHead title="Picking list" line={`orders wanted by ${show.longDay(by)}`}>
        <Form method="get" className="flex items-end gap-2 print:hidden">
          <AskBox type="date" name="by" label="Wanted by" defaultValue={by} />
          <Button kind="plain">Show</Button>
        </Form>
      </PageHead>
      {times.length === 0 && (
        <EmptyPlace heading="Nothing to pick" action={null}>
          <p>
            No order is wanted by then. Each order that is gets its packs named here, with their place and
            code, to be ticked off on paper at the freezer.
          </p>
        </EmptyPlace>
      )}
      {times.map((time) => (
        <Sheet
          key={time.key}
          heading={`${time.name}, ${show.shortDay(time.wantedOn)}`}
          className="break-inside-avoid"
        >
          {time.note && <p className="text-sm">{time.note}</p>}
          {time.lines.map((line) => (
            <div key={line.id} className="border-b border-rule py-2 last:border-b-0">
              <p className="font-semibold">{orderLineWords(line, show)}</p>
              <ul className="grid gap-x-6 sm:grid-cols-2 print:grid-cols-2">
                {line.pick.map(({ code, place, weightMilligrams }) => (
                  <li key={code} className="flex items-baseline gap-3">
                    <span
                      aria-hidden
                      className="inline-block size-4 shrink-0 self-center border border-ink"
                    />
                    <span className="font-mono">{code}</span>
                    <span className="grow">{place}</span>
                    {weightMilligrams !== undefined && (
                      <span className="font-mono">{show.bird(weightMilligrams)}</span>
                    )}
                  </li>
                ))}
              </ul>
              {line.short > 0 && (
                <p className="text-sm text-barn">
                  {show.count(line.short)} not in the freezers{line.fill.coming.length > 0 && " yet"}.
                </p>
              )}
            </div>
          ))}
        </Sheet>
      ))}
    </Page>
  );
}
