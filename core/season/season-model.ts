import { type LinearProgram, programBuilder, type Term } from "#core/season/linear-program.ts";
import type { Placement, SeasonAnswer, SeasonProblem, SeasonRule } from "#core/season/season-problem.ts";

export interface SeasonModel {
  readonly program: LinearProgram;
  /** Turns a solver's columns into birds; whole numbers may come back as 89.9999999. */
  answerOf(columns: ArrayLike<number>): SeasonAnswer;
  /** An answer as columns and values to start the solver from; what follows from them it works out itself. */
  startFrom(answer: SeasonAnswer): { indices: Int32Array; values: Float64Array };
}

export interface ModelChoices {
  /**
   * "value": keep all firm rules, earn the most.
   * "mend": every firm rule and pin may be broken; break the fewest.
   */
  readonly aim: "value" | "mend";
}

/** In the "mend" aim a broken rule weighs as much as this many cents of value: fewest first, then the most value. */
const MEND_CENTS = 1e7;

/**
 * The season as a mixed-integer program: whole numbers of birds of a group on a day in a way, and days that are held or not.
 * The freezer is an inventory from day to day, which keeps the rows short.
 */
export function seasonModel(problem: SeasonProblem, { aim }: ModelChoices): SeasonModel {
  const build = programBuilder();
  const isRepairing = aim === "mend";
  const broken = (): number => build.column({ cost: -MEND_CENTS, upper: 1, isWhole: true });

  /** A column for what goes past a rule, if it may be passed at all. */
  const slack = (rule: SeasonRule, most: number): Term[] => {
    const strength = problem.strength[rule];
    if (!strength.isFirm) return [[build.column({ cost: -strength.cents }), 1]];
    if (!isRepairing) return [];
    const column = build.column({ cost: -1, upper: most });
    build.row(-Infinity, 0, [
      [column, 1],
      [broken(), -most],
    ]);
    return [[column, 1]];
  };
  const minus = (terms: readonly Term[]): Term[] => terms.map(([column, factor]) => [column, -factor]);

  const allBirds = problem.groups.reduce((sum, group) => sum + group.birds, 0);
  const late = problem.strength["latest-age"];
  const held = problem.days.map((day) =>
    day.heldBirds > 0 ? undefined : build.column({ cost: -day.openCents, upper: 1, isWhole: true }),
  );
  const options = problem.groups.flatMap((group, lotIndex) =>
    group.options
      .filter((option) => !option.isLate || !late.isFirm || isRepairing)
      .map((option) => {
        const price = option.isLate && !late.isFirm ? late.cents : 0;
        const upper = mostOf(group.birds, option);
        const column = build.column({ cost: option.centsEach - price, upper, isWhole: true });
        if (option.isLate && late.isFirm)
          build.row(-Infinity, 0, [
            [column, 1],
            [broken(), -group.birds],
          ]);
        return { ...option, group: lotIndex, column };
      }),
  );
  /** No more birds of an option than its group has, and than its day's crew can do where that rule holds: a tight bound is half the solve. */
  function mostOf(birds: number, { day, workEach }: { day: number; workEach: number }): number {
    const { mostWork, heldWork } = problem.days[day]!;
    if (!problem.strength.crew.isFirm || isRepairing) return birds;
    return Math.min(birds, Math.floor(Math.max(0, mostWork - heldWork) / workEach + 1e-9));
  }
  const byDay = problem.days.map((_, index) => options.filter(({ day }) => day === index));

  problem.groups.forEach((group, index) => {
    const own = options.filter((option) => option.group === index);
    const unplaced = build.column({ cost: -group.unplacedCents, upper: group.birds });
    const everyone: Term[] = [...own.map(({ column }): Term => [column, 1]), [unplaced, 1]];
    build.row(group.birds, group.birds, everyone);
    if (group.mustBePlaced)
      build.row(-Infinity, 0, [[unplaced, 1], ...minus(slack("everyone-placed", group.birds))]);
  });

  problem.days.forEach((day, index) => {
    const here = byDay[index]!;
    if (here.length === 0) return;
    const holds = held[index];
    const over = slack("crew", allBirds * 2);
    const work: Term[] = [...here.map(({ column, workEach }): Term => [column, workEach]), ...minus(over)];
    const free = Math.max(0, day.mostWork - day.heldWork);
    if (holds === undefined) build.row(-Infinity, free, work);
    else {
      // Over time is worked only on a day that is held.
      const most = over.length > 0 ? allBirds * 2 : 0;
      build.row(-Infinity, 0, [...work, [holds, -free]]);
      for (const [column] of over)
        build.row(-Infinity, 0, [
          [column, 1],
          [holds, -most],
        ]);
      for (const group of new Set(here.map((option) => option.group))) {
        const own = here.filter((option) => option.group === group);
        const birds = Math.max(...own.map((option) => mostOf(problem.groups[group]!.birds, option)));
        build.row(-Infinity, 0, [...own.map(({ column }): Term => [column, 1]), [holds, -birds]]);
      }
    }
    if (day.heldBirds < problem.leastBirds) {
      const need = problem.leastBirds - day.heldBirds;
      const birds: Term[] = [...here.map(({ column }): Term => [column, 1]), ...slack("least-birds", need)];
      // A day that is held anyhow may get none of these birds.
      const gate = holds ?? build.column({ upper: 1, isWhole: true });
      if (holds === undefined)
        for (const { column, group } of here)
          build.row(-Infinity, 0, [
            [column, 1],
            [gate, -problem.groups[group]!.birds],
          ]);
      build.row(0, Infinity, [...birds, [gate, -need]]);
    }
  });

  buildRooms();

  for (const { fromDay, toDay, birds } of problem.yearly) {
    const inYear = options.filter(({ day }) => {
      const { number } = problem.days[day]!;
      return number >= fromDay && number <= toDay;
    });
    if (inYear.length > 0)
      build.row(-Infinity, birds, [
        ...inYear.map(({ column }): Term => [column, 1]),
        ...minus(slack("yearly-cap", allBirds)),
      ]);
  }

  for (const pin of problem.pins) {
    const own = options.filter(({ group, day }) => group === pin.group && day === pin.day);
    const terms = own.map(({ column }): Term => [column, 1]);
    if (!isRepairing) build.row(pin.birds, pin.birds, terms);
    else {
      const [less, more] = [build.column({ cost: -1 }), build.column({ cost: -1 })];
      build.row(pin.birds, pin.birds, [...terms, [less, 1], [more, -1]]);
      build.row(-Infinity, 0, [
        [less, 1],
        [more, 1],
        [broken(), -allBirds - pin.birds],
      ]);
    }
  }

  function buildRooms(): void {
    const { room } = problem;
    const length = room.leaving.length;
    const eitherExists = room.eitherRest > 0 || room.eitherFreezer > 0;
    let before: number | undefined;
    for (let at = 0; at < length; at += 1) {
      const day = room.from + at;
      const restingHere = options.filter(({ day: index, group }) => {
        const { number } = problem.days[index]!;
        return number <= day && day < number + problem.groups[group]!.restDays;
      });
      const enteringHere = options.filter(
        ({ day: index, group }) => problem.days[index]!.number + problem.groups[group]!.restDays === day,
      );
      const freezes = eitherExists ? build.column({ upper: 1, isWhole: true }) : undefined;
      const gate = (factor: number): Term[] => (freezes === undefined ? [] : [[freezes, factor]]);
      if (restingHere.length > 0)
        build.row(-Infinity, room.rest + room.restSlack[at]! + room.eitherRest - (room.resting[at] ?? 0), [
          ...restingHere.map(({ column }): Term => [column, 1]),
          ...gate(room.eitherRest),
          ...minus(slack("rest-room", allBirds)),
        ]);
      const inFreezer = build.column({});
      const carried: Term[] = before === undefined ? [] : [[before, -1]];
      const start = before === undefined ? room.frozenNow : 0;
      build.row(start + (room.entering[at] ?? 0) - room.leaving[at]!, Infinity, [
        [inFreezer, 1],
        ...carried,
        ...enteringHere.map(({ column, freezerRoomEach }): Term => [column, -freezerRoomEach]),
      ]);
      build.row(-Infinity, room.freezer + room.freezerSlack[at]!, [
        [inFreezer, 1],
        ...gate(-room.eitherFreezer),
        ...minus(slack("freezer-room", allBirds + room.frozenNow)),
      ]);
      before = inFreezer;
    }
  }

  return {
    program: build.program(),
    answerOf: (columns) => ({
      placements: options
        .map(
          ({ group, day, way, column }): Placement => ({
            group,
            day,
            way,
            birds: Math.round(columns[column]!),
          }),
        )
        .filter(({ birds }) => birds > 0),
    }),
    startFrom: ({ placements }) => {
      const birdsOf = (option: (typeof options)[number]) =>
        placements.find(
          ({ group, day, way }) => group === option.group && day === option.day && way === option.way,
        )?.birds ?? 0;
      const opens = held.flatMap((column, day) =>
        column === undefined ? [] : [{ column, value: placements.some((one) => one.day === day) ? 1 : 0 }],
      );
      const pairs = [
        ...options.map((option) => ({ column: option.column, value: birdsOf(option) })),
        ...opens,
      ];
      return {
        indices: Int32Array.from(pairs, ({ column }) => column),
        values: Float64Array.from(pairs, ({ value }) => value),
      };
    },
  };
}
