import type { ReactNode } from "react";
import { usePlan } from "#app/days/plan/plan-context.tsx";
import { Figure } from "#app/ui/figure.tsx";
import { Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { CUT_WORDS } from "#app/words/words.ts";
import { CHILL } from "#core/chill/chill-constants.ts";
import { paceReckoning } from "#core/day/crew/own-pace.ts";

/** What follows from the choices, each figure with its working. */
export function PlanAnswer() {
  const { planned } = usePlan();
  const show = useShow();
  const { line, withdrawal, scald, chill } = planned.plan;
  const [least, most] = withdrawal.windowHours;
  const { burner } = scald;
  return (
    <Sheet heading="Results" beside="tap one to see the math">
      <Figure
        label="Last bird in the chill tank"
        reckoning={line.likelyAt}
        beside={`9 in 10 by ${show.time(line.nineInTenAt.value)}`}
        workings={[line.nineInTenAt, line.wholeDayMinutes]}
      />
      <Figure label="Pull the feed" reckoning={withdrawal.feedOffAt} beside="leave water until catching" />
      <Figure
        label="Time off feed at kill"
        reckoning={withdrawal.firstBirdHours}
        to={withdrawal.lastBirdHours}
        beside={`aim ${least} to ${most} h`}
      />
      {burner.possible && (
        <Figure
          label="Light the burner"
          reckoning={burner.safeAt}
          beside={`likely ${show.time(burner.likelyAt.value)}`}
          workings={[burner.likelyAt]}
        />
      )}
      <Figure
        label="Scald"
        reckoning={scald.bath}
        beside={`skin tears after ${show.temperature(scald.skinCeilingCelsius)}`}
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
        label={`Heavy bird below ${show.temperature(CHILL.targetCelsius)}`}
        reckoning={chill.hours}
        beside={`common limit: ${chill.quotedHours} h`}
      />
    </Sheet>
  );
}

/** The figures behind the answer, for those who ask further. */
export function PlanDetail() {
  const { planned, basis } = usePlan();
  const { plan, forecast } = planned;
  const { ownPace } = basis.means;
  const show = useShow();
  const { line, scald, chill, cuts } = plan;
  const pace = paceReckoning(ownPace);
  const [earliest, latest] = scald.secondsRange.map((value) => show.value(value, "seconds"));
  return (
    <Sheet heading="More results">
      <Pairs>
        <Figure label="Live weight that day" reckoning={forecast.live} size="small" />
        <Figure label="Dressed weight that day" reckoning={forecast.dressed} size="small" />
        <Figure
          label="Whole day with setup and cleanup"
          reckoning={line.wholeDayMinutes}
          beside={`cleaned up by ${show.time(line.cleanAt.value)}`}
          size="small"
        />
        <Figure label="Birds per hour the scald bath can heat" reckoning={scald.birdsPerHour} size="small" />
        <Figure label="Birds that fit in the tanks" reckoning={chill.tank.birdsThatFit} size="small" />
        {pace && (
          <Figure
            label="Your pace compared to our times"
            reckoning={pace}
            beside={`from ${plural(ownPace.days, "day")}`}
            size="small"
          />
        )}
        {cuts.map(({ cut, weight }) => (
          <Figure
            key={cut}
            label={`From birds cut up: ${CUT_WORDS[cut] ?? cut}`}
            reckoning={weight}
            size="small"
          />
        ))}
      </Pairs>
      <p className="pt-3 text-sm text-soft">
        Scald: start testing at {earliest} and go no longer than {latest}. Go by wing feathers that slip out
        easily, not the clock. For chilling, follow your local rules.
      </p>
    </Sheet>
  );
}

function Pairs({ children }: { children: ReactNode }) {
  return <div className="grid gap-x-8 sm:grid-cols-2 lg:grid-cols-1">{children}</div>;
}
