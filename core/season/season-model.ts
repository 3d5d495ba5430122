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

/** An option of the problem, with its group and the column that counts its birds. */
type OptionColumn = SeasonProblem["groups"][number]["options"][number] & {
  readonly group: number;
  readonly column: number;
};

const counting = (options: readonly OptionColumn[]): Term[] => options.map(({ column }): Term => [column, 1]);

const minus = (terms: readonly Term[]): Term[] => terms.map(([column, factor]) => [column, -factor]);

/**
 * The season as a mixed-integer program: whole numbers of birds of a group on a day in a way, and days that are held or not.
 * The freezer is an inventory from day to day, which keeps the rows short.
 */
export function seasonModel(problem: SeasonProblem, { aim }: ModelChoices): SeasonModel {
  const modeler = new Modeler(problem, aim === "mend");
  modeler.placeEveryone();
  modeler.keepDays();
  modeler.keepRooms();
  modeler.keepYears();
  modeler.keepPins();
  const { options, held } = modeler;
  return {
    program: modeler.build.program(),
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
      const birdsOf = (option: OptionColumn) =>
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

/** Builds the program, a family of rows at a time. The order of columns and rows is part of what the solver finds first. */
class Modeler {
  readonly build = programBuilder();
  /** For each day, whether birds are done on it; undefined where the day is held anyhow. */
  readonly held: readonly (number | undefined)[];
  readonly options: readonly OptionColumn[];
  private readonly allBirds: number;

  constructor(
    private readonly problem: SeasonProblem,
    /** Firm rules may be broken, at a price that no money outweighs. */
    private readonly isRepairing: boolean,
  ) {
    this.allBirds = problem.groups.reduce((sum, group) => sum + group.birds, 0);
    this.held = problem.days.map((day) =>
      day.heldBirds > 0 ? undefined : this.build.column({ cost: -day.openCents, upper: 1, isWhole: true }),
    );
    this.options = problem.groups.flatMap((_, group) => this.optionsOf(group));
  }

  private optionsOf(group: number): OptionColumn[] {
    const { birds, options } = this.problem.groups[group]!;
    const late = this.problem.strength["latest-age"];
    return options
      .filter((option) => !option.isLate || !late.isFirm || this.isRepairing)
      .map((option) => {
        const price = option.isLate && !late.isFirm ? late.cents : 0;
        const upper = this.mostOf(birds, option);
        const column = this.build.column({ cost: option.centsEach - price, upper, isWhole: true });
        if (option.isLate && late.isFirm) this.onlyIf(column, this.broken(), birds);
        return { ...option, group, column };
      });
  }

  /** No more birds of an option than its group has, and than its day's crew can do where that rule holds: a tight bound is half the solve. */
  private mostOf(birds: number, { day, workEach }: { day: number; workEach: number }): number {
    const { mostWork, heldWork } = this.problem.days[day]!;
    if (!this.problem.strength.crew.isFirm || this.isRepairing) return birds;
    return Math.min(birds, Math.floor(Math.max(0, mostWork - heldWork) / workEach + 1e-9));
  }

  private broken(): number {
    return this.build.column({ cost: -MEND_CENTS, upper: 1, isWhole: true });
  }

  /** A column is 0 unless another, which is yes or no, is yes; then at most so much. */
  private onlyIf(column: number, gate: number, most: number): void {
    this.build.row(-Infinity, 0, [
      [column, 1],
      [gate, -most],
    ]);
  }

  /** A column for what goes past a rule, if it may be passed at all. */
  private slack(rule: SeasonRule, most: number): Term[] {
    const strength = this.problem.strength[rule];
    if (!strength.isFirm) return [[this.build.column({ cost: -strength.cents }), 1]];
    if (!this.isRepairing) return [];
    const column = this.build.column({ cost: -1, upper: most });
    this.onlyIf(column, this.broken(), most);
    return [[column, 1]];
  }

  /** Every bird of a group is on a day or counted as unplaced. */
  placeEveryone(): void {
    this.problem.groups.forEach((group, index) => {
      const own = this.options.filter((option) => option.group === index);
      const unplaced = this.build.column({ cost: -group.unplacedCents, upper: group.birds });
      this.build.row(group.birds, group.birds, [...counting(own), [unplaced, 1]]);
      if (group.mustBePlaced)
        this.build.row(-Infinity, 0, [[unplaced, 1], ...minus(this.slack("everyone-placed", group.birds))]);
    });
  }

  keepDays(): void {
    this.problem.days.forEach((_, index) => {
      const here = this.options.filter(({ day }) => day === index);
      if (here.length === 0) return;
      this.keepCrew(index, here);
      this.keepLeastBirds(index, here);
    });
  }

  /** No more work than the day's crew can do, and none on a day that is not held. */
  private keepCrew(index: number, here: readonly OptionColumn[]): void {
    const { problem, build } = this;
    const day = problem.days[index]!;
    const holds = this.held[index];
    const over = this.slack("crew", this.allBirds * 2);
    const work: Term[] = [...here.map(({ column, workEach }): Term => [column, workEach]), ...minus(over)];
    const free = Math.max(0, day.mostWork - day.heldWork);
    if (holds === undefined) {
      build.row(-Infinity, free, work);
      return;
    }
    // Over time is worked only on a day that is held.
    const most = over.length > 0 ? this.allBirds * 2 : 0;
    build.row(-Infinity, 0, [...work, [holds, -free]]);
    for (const [column] of over) this.onlyIf(column, holds, most);
    for (const group of new Set(here.map((option) => option.group))) {
      const own = here.filter((option) => option.group === group);
      const birds = Math.max(...own.map((option) => this.mostOf(problem.groups[group]!.birds, option)));
      build.row(-Infinity, 0, [...counting(own), [holds, -birds]]);
    }
  }

  /** A day that is held gets enough birds to be worth it. */
  private keepLeastBirds(index: number, here: readonly OptionColumn[]): void {
    const { problem, build } = this;
    const holds = this.held[index];
    const need = problem.leastBirds - problem.days[index]!.heldBirds;
    if (need <= 0) return;
    const birds: Term[] = [...counting(here), ...this.slack("least-birds", need)];
    // A day that is held anyhow may get none of these birds.
    const gate = holds ?? build.column({ upper: 1, isWhole: true });
    if (holds === undefined)
      for (const { column, group } of here) this.onlyIf(column, gate, problem.groups[group]!.birds);
    build.row(0, Infinity, [...birds, [gate, -need]]);
  }

  /** Room to rest and in the freezer, from day to day. */
  keepRooms(): void {
    let before: number | undefined;
    this.problem.room.leaving.forEach((_, at) => {
      before = this.keepRoom(at, before);
    });
  }

  /** @returns the column of what is in the freezer on that day */
  private keepRoom(at: number, before: number | undefined): number {
    const { problem, build, allBirds } = this;
    const { room } = problem;
    const day = room.from + at;
    const restsFrom = ({ day: index }: OptionColumn) => problem.days[index]!.number;
    const restDays = ({ group }: OptionColumn) => problem.groups[group]!.restDays;
    const resting = this.options.filter(
      (option) => restsFrom(option) <= day && day < restsFrom(option) + restDays(option),
    );
    const entering = this.options.filter((option) => restsFrom(option) + restDays(option) === day);
    const eitherExists = room.eitherRest > 0 || room.eitherFreezer > 0;
    const freezes = eitherExists ? build.column({ upper: 1, isWhole: true }) : undefined;
    const gate = (factor: number): Term[] => (freezes === undefined ? [] : [[freezes, factor]]);
    if (resting.length > 0)
      build.row(-Infinity, room.rest + room.restSlack[at]! + room.eitherRest - (room.resting[at] ?? 0), [
        ...counting(resting),
        ...gate(room.eitherRest),
        ...minus(this.slack("rest-room", allBirds)),
      ]);
    const inFreezer = build.column({});
    const carried: Term[] = before === undefined ? [] : [[before, -1]];
    const start = before === undefined ? room.frozenNow : 0;
    build.row(start + (room.entering[at] ?? 0) - room.leaving[at]!, Infinity, [
      [inFreezer, 1],
      ...carried,
      ...entering.map(({ column, freezerRoomEach }): Term => [column, -freezerRoomEach]),
    ]);
    build.row(-Infinity, room.freezer + room.freezerSlack[at]!, [
      [inFreezer, 1],
      ...gate(-room.eitherFreezer),
      ...minus(this.slack("freezer-room", allBirds + room.frozenNow)),
    ]);
    return inFreezer;
  }

  /** No more birds in a year than the law lets a farm sell. */
  keepYears(): void {
    for (const { fromDay, toDay, birds } of this.problem.yearly) {
      const inYear = this.options.filter(({ day }) => {
        const { number } = this.problem.days[day]!;
        return number >= fromDay && number <= toDay;
      });
      if (inYear.length > 0)
        this.build.row(-Infinity, birds, [
          ...counting(inYear),
          ...minus(this.slack("yearly-cap", this.allBirds)),
        ]);
    }
  }

  /** What someone pinned stays where it is. */
  keepPins(): void {
    const { build } = this;
    for (const pin of this.problem.pins) {
      const own = counting(this.options.filter(({ group, day }) => group === pin.group && day === pin.day));
      if (!this.isRepairing) {
        build.row(pin.birds, pin.birds, own);
        continue;
      }
      const [less, more] = [build.column({ cost: -1 }), build.column({ cost: -1 })];
      build.row(pin.birds, pin.birds, [...own, [less, 1], [more, -1]]);
      build.row(-Infinity, 0, [
        [less, 1],
        [more, 1],
        [this.broken(), -this.allBirds - pin.birds],
      ]);
    }
  }
}
