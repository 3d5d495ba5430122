import type { ReactNode } from "react";
import { usePlan } from "#app/days/plan/plan-context.tsx";
import { Figure } from "#app/ui/figure.tsx";
import { FoldedSheet, Sheet } from "#app/ui/sheet.tsx";
import { useShow } from "#app/ui/use-show.tsx";
import { plural } from "#app/words/show.ts";
import { CUT_WORDS } from "#app/words/words.ts";
import { CHILL } from "#core/chill/chill-constants.ts";
import { paceReckoning } from "#core/day/crew/own-pace.ts";
import type { LotPlan } from "#core/day/plan/day-plan.ts";

/** What follows from the choices, each figure with its working. */
export function PlanAnswer() {
  const { planned } = usePlan();
  const show = useShow();
  const { lots, heat, line, chill } = planned.plan;
  const { burner } = heat;
  return (
    <Sheet heading="Results" beside="tap one to see the math">
      <Figure
        label="Last bird in the chill tank"
        reckoning={line.likelyAt}
        beside={`9 in 10 by ${show.time(line.nineInTenAt.value)}`}
        workings={[line.nineInTenAt, line.wholeDayMinutes]}
      />
      {lots.map((lot) => (
        <FeedOff key={lot.choices.batchId} lot={lot} />
      ))}
      {burner.possible && (
        <Figure
          label="Turn the heat on"
          reckoning={burner.safeAt}
          beside={`likely ${show.time(burner.likelyAt.value)}`}
          workings={[burner.likelyAt]}
        />
      )}
      {lots.map((lot) => (
        <Dip key={lot.choices.batchId} lot={lot} />
      ))}
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

/** A figure's label, with the batch where the day has several lots. */
const useLotLabel = ({ batchName }: LotPlan) => {
  const { planned } = usePlan();
  return (label: string) => (planned.plan.lots.length > 1 ? `${label}: ${batchName}` : label);
};

function FeedOff({ lot }: { lot: LotPlan }) {
  const label = useLotLabel(lot);
  const { feedOffAt, firstBirdHours, lastBirdHours, windowHours } = lot.withdrawal;
  return (
    <>
      <Figure label={label("Pull the feed")} reckoning={feedOffAt} beside="leave water until catching" />
      <Figure
        label={label("Time off feed at kill")}
        reckoning={firstBirdHours}
        to={lastBirdHours}
        beside={`aim ${windowHours[0]} to ${windowHours[1]} h`}
      />
    </>
  );
}

function Dip({ lot }: { lot: LotPlan }) {
  const label = useLotLabel(lot);
  const show = useShow();
  const { bath, seconds, skinCeilingCelsius } = lot.scald;
  return (
    <Figure
      label={label("Scald")}
      reckoning={bath}
      beside={`skin tears after ${show.temperature(skinCeilingCelsius)}`}
      workings={[seconds]}
    >
      for <span className="font-display text-2xl">{show.value(seconds.value, "seconds")}</span>
    </Figure>
  );
}

/** The figures behind the answer, for those who ask further. */
export function PlanDetail() {
  const { planned, basis } = usePlan();
  const { plan } = planned;
  const { ownPace } = basis.means;
  const show = useShow();
  const { lots, line, chill } = plan;
  const pace = paceReckoning(ownPace);
  return (
    <FoldedSheet id="more" heading="More results">
      <Pairs>
        {lots.map((lot) => (
          <LotDetail key={lot.choices.batchId} lot={lot} />
        ))}
        <Figure
          label="Whole day with setup and cleanup"
          reckoning={line.wholeDayMinutes}
          beside={`cleaned up by ${show.time(line.cleanAt.value)}`}
          size="small"
        />
        <Figure label="Birds that fit in the tanks" reckoning={chill.tank.birdsThatFit} size="small" />
        {pace && (
          <Figure
            label="Your pace compared to our times"
            reckoning={pace}
            beside={`from ${plural(ownPace.days, "day")}`}
            size="small"
          />
        )}
      </Pairs>
      {lots.map((lot) => (
        <DipRange key={lot.choices.batchId} lot={lot} />
      ))}
      <p className="pt-1 text-sm text-soft">
        Go by wing feathers that slip out easily, not the clock. For chilling, follow your local rules.
      </p>
    </FoldedSheet>
  );
}

function LotDetail({ lot }: { lot: LotPlan }) {
  const label = useLotLabel(lot);
  const { forecast, scald, cuts } = lot;
  return (
    <>
      <Figure label={label("Live weight that day")} reckoning={forecast.live} size="small" />
      <Figure label={label("Dressed weight that day")} reckoning={forecast.dressed} size="small" />
      <Figure
        label={label("Birds per hour the scald bath can heat")}
        reckoning={scald.birdsPerHour}
        size="small"
      />
      {cuts.map(({ cut, weight }) => (
        <Figure
          key={cut}
          label={label(`From birds cut up: ${CUT_WORDS[cut] ?? cut}`)}
          reckoning={weight}
          size="small"
        />
      ))}
    </>
  );
}

function DipRange({ lot }: { lot: LotPlan }) {
  const label = useLotLabel(lot);
  const show = useShow();
  const [earliest, latest] = lot.scald.secondsRange.map((value) => show.value(value, "seconds"));
  return (
    <p className="pt-3 text-sm text-soft">
      {label("Scald")}: start testing at {earliest} and go no longer than {latest}.
    </p>
  );
}

function Pairs({ children }: { children: ReactNode }) {
  return <div className="grid gap-x-8 sm:grid-cols-2 lg:grid-cols-1">{children}</div>;
}
