import { clockOn, type Draft, type PartToRest, type TaskInput } from "#core/day/tasks/task-shapes.ts";

/** What is to be done once the birds are in the chill: rest, cut, freeze. */
export function after(task: TaskInput): Draft[] {
  const on = clockOn(task);
  const longest = Math.max(...task.rest.map(({ days }) => days));
  const drafts: (Draft | false)[] = [
    longest > 0 && { key: "shut-in", at: on(0, "20:30"), minutes: 10, like: "pack" },
    longest > 1 && {
      key: "drain",
      at: on(-1, "08:00"),
      minutes: 20,
      like: "pack",
    },
    ...task.rest.flatMap((one) => afterRest(task, one)),
    {
      key: "freezer-check",
      at: on(-longest - 1, "18:00"),
      minutes: 10,
      like: "pack",
    },
  ];
  return drafts.filter((draft) => draft !== false);
}

/** What a part of the birds makes to do once it has rested. */
function afterRest(task: TaskInput, { birds, days, cutUp, brineOutAt }: PartToRest): Draft[] {
  const on = clockOn(task);
  const part = task.rest.length > 1 ? `${days}-days` : undefined;
  const facts = { restDays: days, ...(part !== undefined && { birds }) };
  const drafts: (Draft | false)[] = [
    brineOutAt !== undefined && { key: "brine-out", part, facts, at: brineOutAt, minutes: 20, like: "pack" },
    cutUp > 0 &&
      days > 0 && {
        key: "cut-up",
        part,
        facts: { ...facts, birds: cutUp },
        at: on(-days, "15:00"),
        minutes: Math.round(cutUp * CUT_MINUTES_PER_BIRD),
        like: "cut",
      },
    { key: "freeze", part, facts, at: on(-days, "18:00"), minutes: 45, like: "pack" },
  ];
  return drafts.filter((draft) => draft !== false);
}

/** To cut up and pack one bird. Choice. See docs/sources.md#line. */
const CUT_MINUTES_PER_BIRD = 8;
