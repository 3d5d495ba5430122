import { Figure } from "#app/ui/figure.tsx";
import { Notice, Sheet } from "#app/ui/sheet.tsx";
import { plural } from "#app/ui/show.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { CUT_WORDS } from "#app/ui/words.ts";
import type { PlanForDate } from "#core/day/plan-for-date.ts";

/** What follows from the choices, each figure with its working. */
export function PlanAnswer({ planned, birdCount }: { planned: PlanForDate; birdCount: number }) {
  const { plan, forecast } = planned;
  return (
    <Sheet heading="Worked out" beside="open a figure to see its sum">
      <DoneBy {...planned} />
      <Withdrawal plan={plan} birdCount={birdCount} />
      <Scald plan={plan} />
      <Chill plan={plan} birdCount={birdCount} />
      <Figure label="A bird then, live" reckoning={forecast.live} size="small" />
      <Figure label="A bird then, dressed" reckoning={forecast.dressed} size="small" />
      {plan.cuts.map(({ cut, weight }) => (
        <Figure
          key={cut}
          label={`From those cut up: ${CUT_WORDS[cut] ?? cut}`}
          reckoning={weight}
          size="small"
        />
      ))}
    </Sheet>
  );
}

type Part = Pick<PlanForDate, "plan">;

function DoneBy({ plan: { line }, sun }: Pick<PlanForDate, "plan" | "sun">) {
  const show = useShow();
  const isDark = sun.sunset !== undefined && line.cleanAt.value > sun.sunset;
  return (
    <>
      <Figure
        label="Last bird in the chill, even chance"
        reckoning={line.evenChanceAt}
        beside={`whole day ${show.minutes(line.wholeDayMinutes.value)}`}
      />
      <Figure
        label="9 in 10"
        reckoning={line.nineInTenAt}
        size="small"
        note={
          isDark ? (
            <Notice tone="stop">
              Clean-up ends at {show.time(line.cleanAt.value)}, after sunset at {show.time(sun.sunset!)}.
              Start earlier, take fewer, or find another pair of hands.
            </Notice>
          ) : undefined
        }
      />
    </>
  );
}

function Withdrawal({ plan: { withdrawal }, birdCount }: Part & { birdCount: number }) {
  const { tooShort, tooLong } = withdrawal.share;
  const [least, most] = withdrawal.windowHours;
  const outside = [
    tooLong > 0 && `${plural(tooLong, "bird")} of ${birdCount} past ${most} h off feed`,
    tooShort > 0 && `${plural(tooShort, "bird")} of ${birdCount} not yet ${least} h off feed`,
  ].filter(Boolean);
  return (
    <>
      <Figure
        label="Pull the feed"
        reckoning={withdrawal.feedOffAt}
        beside="water stays until catching"
        note={
          withdrawal.isDuskBound ? (
            <p>Birds don't eat in the dark: after dusk it is off by itself.</p>
          ) : undefined
        }
      />
      <Figure
        label="Off feed when killed, first bird to last"
        reckoning={withdrawal.firstBirdHours}
        to={withdrawal.lastBirdHours}
        beside={`aim ${least} to ${most} h`}
        note={
          outside.length > 0 ? (
            <Notice>
              {outside.join("; ")}.{" "}
              {withdrawal.isDuskBound
                ? "Keep a lamp in the pens until the feed is pulled, start earlier, or choose a longer school."
                : `One feed-off time can serve ${withdrawal.mostBirdsInOneWindow}: go quicker, take fewer, or pull the feed in two visits.`}
            </Notice>
          ) : undefined
        }
      />
    </>
  );
}

function Scald({ plan: { scald } }: Part) {
  const show = useShow();
  const [earliest, latest] = scald.secondsRange.map((value) => show.value(value, "seconds"));
  return (
    <>
      <Figure
        label="Scald"
        reckoning={scald.bath}
        beside={`skin tears from ${show.temperature(scald.skinCeilingCelsius)}`}
        note={
          <p className="text-soft">
            Try from {earliest} on, and not past {latest}. Wing feathers that slip out easily decide, not the
            clock.
          </p>
        }
      >
        for <span className="font-display text-3xl">{show.value(scald.seconds.value, "seconds")}</span>
      </Figure>
      <Figure label="Seconds in the bath" reckoning={scald.seconds} size="small" />
      {scald.burner.possible ? (
        <Figure
          label="Light the burner, to be safe"
          reckoning={scald.burner.safeAt}
          beside={`likely enough: ${show.time(scald.burner.likelyAt.value)}`}
          note={
            <p className="text-soft">
              Never power an element that is not under water. Gas burners outdoors only. Water and current
              need a ground-fault device, fitted by someone competent.
            </p>
          }
        />
      ) : (
        <Figure
          label="The water never gets hot enough"
          reckoning={scald.burner.ceiling}
          note={
            <Notice tone="stop">
              With this heat it stops short of the scald. Put on a lid, use less water, or more power.
            </Notice>
          }
        />
      )}
      {scald.circuit?.isOverloaded && (
        <Figure
          label="The element's circuit"
          reckoning={scald.circuit.neededAmps}
          size="small"
          note={
            <Notice tone="stop">
              It asks for {show.value(scald.circuit.neededAmps.value, "amps")} and the breaker is{" "}
              {scald.circuit.breakerAmps} A. It will trip or overheat: use another circuit. An electrician and
              your code decide.
            </Notice>
          }
        />
      )}
      <Figure label="Birds the bath stays hot for" reckoning={scald.birdsPerHour} size="small" />
    </>
  );
}

function Chill({ plan: { chill }, birdCount }: Part & { birdCount: number }) {
  const show = useShow();
  const { birdsThatFit, fillsNeeded } = chill.tank;
  return (
    <>
      <Figure label="Ice" reckoning={chill.bags} beside={show.value(chill.ice.value, "kg")}>
        bags
      </Figure>
      <Figure label="How much ice that is" reckoning={chill.ice} size="small" />
      <Figure
        label={`A heavy bird down to ${show.temperature(4.4)}`}
        reckoning={chill.hours}
        beside={`commonly quoted limit ${chill.quotedHours} h; your rule decides`}
        note={
          chill.isWithinQuoted ? undefined : (
            <Notice tone="stop">
              Slower than the limit commonly quoted. Stir or bubble the slush, or open the birds wider.
            </Notice>
          )
        }
      />
      <Figure
        label="Birds the tanks hold"
        reckoning={birdsThatFit}
        size="small"
        note={
          fillsNeeded > 1 ? (
            <Notice>
              {birdCount} don't fit at once: move the cold ones on and fill {fillsNeeded} times, or find
              another cooler.
            </Notice>
          ) : undefined
        }
      />
    </>
  );
}
