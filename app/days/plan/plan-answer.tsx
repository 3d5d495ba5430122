import type { ReactNode } from "react";
import { Figure } from "#app/ui/figure.tsx";
import { Sheet } from "#app/ui/sheet.tsx";
import { plural } from "#app/ui/show.ts";
import { useShow } from "#app/ui/use-show.tsx";
import { CUT_WORDS } from "#app/ui/words.ts";
import { CHILL } from "#core/chill/chill-constants.ts";
import { type OwnPace, paceReckoning } from "#core/day/crew/own-pace.ts";
import type { PlanForDate } from "#core/day/plan/plan-for-date.ts";

/** What follows from the choices, each figure with its working. */
export function PlanAnswer({ planned }: { planned: PlanForDate }) {
  const show = useShow();
  const { line, withdrawal, scald, chill } = planned.plan;
  const [least, most] = withdrawal.windowHours;
  const { burner } = scald;
  return (
    <Sheet heading="Worked out" beside="open one to see its sum">
      <Figure
        label="Last bird in the chill"
        reckoning={line.evenChanceAt}
        beside={`9 in 10 by ${show.time(line.nineInTenAt.value)}`}
        workings={[line.nineInTenAt, line.wholeDayMinutes]}
      />
      <Figure label="Pull the feed" reckoning={withdrawal.feedOffAt} beside="water stays until catching" />
      <Figure
        label="Off feed when killed"
        reckoning={withdrawal.firstBirdHours}
        to={withdrawal.lastBirdHours}
        beside={`aim ${least} to ${most} h`}
      />
      {burner.possible && (
        <Figure
          label="Light the burner"
          reckoning={burner.safeAt}
          beside={`likely enough ${show.time(burner.likelyAt.value)}`}
          workings={[burner.likelyAt]}
        />
      )}
      <Figure
        label="Scald"
        reckoning={scald.bath}
        beside={`skin tears from ${show.temperature(scald.skinCeilingCelsius)}`}
        workings={[scald.seconds]}
      >
        for <span className="font-display text-2xl">{show.value(scald.seconds.value, "seconds")}</span>
      </Figure>
      <Figure
        label="Ice"
        reckoning={chill.bags}
        beside={show.value(chill.ice.value, "kg")}
        workings={[chill.ice]}
      >
        bags
      </Figure>
      <Figure
        label={`A heavy bird under ${show.temperature(CHILL.targetCelsius)}`}
        reckoning={chill.hours}
        beside={`quoted: ${chill.quotedHours} h`}
      />
    </Sheet>
  );
}

/** The figures behind the answer, for those who ask further. */
export function PlanDetail({
  planned: { plan, forecast },
  ownPace,
}: {
  planned: PlanForDate;
  ownPace: OwnPace;
}) {
  const show = useShow();
  const { line, scald, chill, cuts } = plan;
  const pace = paceReckoning(ownPace);
  const [earliest, latest] = scald.secondsRange.map((value) => show.value(value, "seconds"));
  return (
    <Sheet heading="Also worked out">
      <Pairs>
        <Figure label="A bird then, live" reckoning={forecast.live} size="small" />
        <Figure label="A bird then, dressed" reckoning={forecast.dressed} size="small" />
        <Figure
          label="Whole day, set-up and clean-up"
          reckoning={line.wholeDayMinutes}
          beside={`clean by ${show.time(line.cleanAt.value)}`}
          size="small"
        />
        <Figure label="Birds the bath stays hot for" reckoning={scald.birdsPerHour} size="small" />
        <Figure label="Birds the tanks hold" reckoning={chill.tank.birdsThatFit} size="small" />
        {pace && (
          <Figure
            label="Your own days against our times"
            reckoning={pace}
            beside={`from ${plural(ownPace.days, "day")}`}
            size="small"
          />
        )}
        {cuts.map(({ cut, weight }) => (
          <Figure
            key={cut}
            label={`From those cut up: ${CUT_WORDS[cut] ?? cut}`}
            reckoning={weight}
            size="small"
          />
        ))}
      </Pairs>
      <p className="pt-3 text-sm text-soft">
        Scald: try from {earliest} on and not past {latest}; wing feathers that slip out easily decide, not
        the clock. Never power an element that is not under water. Gas burners outdoors only. Water and
        current need a ground-fault device, fitted by someone competent. For chilling your local rule decides.
      </p>
    </Sheet>
  );
}

function Pairs({ children }: { children: ReactNode }) {
  return <div className="grid gap-x-8 sm:grid-cols-2 lg:grid-cols-1">{children}</div>;
}
