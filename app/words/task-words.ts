import { lotsInWords } from "#app/words/lot-words.ts";
import { BY_PRODUCT_WORDS } from "#app/words/packing/by-product-words.ts";
import { plural } from "#app/words/show.ts";
import type { DayTask, TaskFacts, TaskKey } from "#core/day/tasks/task-shapes.ts";

/** What to do, and why it is worth doing. */
export interface TaskWords {
  readonly title: string;
  readonly why: string;
}

const TASK_WORDS: Readonly<Record<TaskKey, (facts: TaskFacts) => TaskWords>> = {
  book: ({ thing = "", lots = [] }) => ({
    title: `Book the ${thing.toLowerCase()}`,
    why: `for ${lotsInWords(lots)}`,
  }),
  "count-stock": () => ({
    title: "Count bags, ties, labels, and gloves, and order what is short",
    why: "a week is enough for delivery",
  }),
  pens: () => ({
    title: "Move the pens near the processing area, on fresh grass",
    why: "clean birds, and a short way to carry crates",
  }),
  jugs: () => ({ title: "Freeze water jugs", why: "they save ice, and take three days to freeze" }),
  sharpen: () => ({ title: "Sharpen the knives", why: "a dull knife tears" }),
  scrub: () => ({
    title: "Scrub and sanitize tables, sinks, coolers, and bins",
    why: "scrub first, because dirt uses up chlorine; never mix bleach with acid or ammonia",
  }),
  "try-machines": () => ({
    title: "Test every machine, with water",
    why: "while there is still time to get a part",
  }),
  ice: ({ bags = 0 }) => ({
    title: `Have ${plural(bags, "bag")} of ice ready`,
    why: "what the plan needs beyond your own ice",
  }),
  "feed-off": ({ windowHours: [least, most] = [0, 0], batchName }) => ({
    title: batchName === undefined ? "Pull the feed" : `Pull the feed of ${batchName}`,
    why: `first bird off feed ${least} to ${most} h; leave the water`,
  }),
  burner: () => ({
    title: "Turn the heat on for the scald water",
    why: "never power an element that is not under water; gas outdoors only",
  }),
  day: ({ lots = [] }) => ({
    title: `Processing day: ${lotsInWords(lots)}`,
    why: "setup through likely cleanup; it may take longer",
  }),
  "set-up": () => ({
    title: "Set up tables, cones, and hoses; fill the tanks with water and ice",
    why: "birds move one way, from dirty to clean",
  }),
  catch: ({ birds = 0, crates = 0, batchName }) => ({
    title: `Catch the first ${batchName === undefined ? birds : `${birds} of ${batchName}`}: ${plural(crates, "crate")}`,
    why: "in low light, in the shade, shortly before the cones",
  }),
  "first-bird": () => ({ title: "First bird", why: "time off feed is counted to here" }),
  break: ({ minutes = 0 }) => ({
    title: `Break, ${minutes} min`,
    why: "no kill in the 5 min before it; every killed bird goes into the chill tank first",
  }),
  "more-ice": () => ({ title: "Get more ice", why: "the ice on hand melts within the hour" }),
  "second-fill": ({ birds = 0 }) => ({
    title: "The tanks are full: move cold birds out and refill",
    why: `they hold ${birds}`,
  }),
  clean: () => ({
    title: "Clean up: turn the heat off before draining",
    why: "while it is wet; dry blood takes twice as long",
  }),
  probe: ({ quotedHours = 0 }) => ({
    title: "Probe the breast of the heaviest bird",
    why: `it should be cold by now; commonly quoted limit ${quotedHours} h; follow your local rules`,
  }),
  "shut-in": () => ({
    title: "Shut dogs, cats, and wild animals out of where the birds rest",
    why: "a lid or a closed door, before dark",
  }),
  "brine-out": ({ birds }) => ({
    title:
      birds === undefined
        ? "Take the birds out of the brine"
        : `Take ${plural(birds, "bird")} out of the brine`,
    why: "longer makes them salty; throw the brine away",
  }),
  "cut-up": ({ birds = 0 }) => ({
    title: `Cut up ${plural(birds, "bird")}`,
    why: "marked birds first; weigh each pack as it is sealed",
  }),
  broth: ({ birds = 0 }) => ({
    title: `Boil the frames of ${plural(birds, "bird")}, or pack and freeze them`,
    why: "weigh them into the pot; what is picked off and the broth count too",
  }),
  dehydrator: () => ({
    title: "Peel the feet, then pack them or start the dehydrator",
    why: "feet that wait dry out; weigh a load before it goes in",
  }),
  "dry-check": ({ load }) => ({
    title: `Look at what dries${load === undefined ? "" : `: ${BY_PRODUCT_WORDS[load].name.toLowerCase()}`}`,
    why: "dry all through, not soft inside; note what you find",
  }),
  "broth-out": () => ({
    title: "Strain the broth, and pick the frames while they are warm",
    why: "cool it fast, then refrigerate or freeze; can only by a tested process",
  }),
  drain: () => ({
    title: "Drain the birds and check the refrigerator's thermometer",
    why: "rigor passes after about a day; keep them cold",
  }),
  freeze: ({ restDays = 0, birds }) => ({
    title:
      birds === undefined
        ? "Move the rested birds to the freezer"
        : `Move ${plural(birds, "rested bird")} to the freezer`,
    why:
      restDays === 0
        ? "once they are cold; in a single layer"
        : `${plural(restDays, "day")} after the kill; in a single layer`,
  }),
  "freezer-check": () => ({
    title: "Check the freezer: every bird hard, nothing soft in the stack",
    why: "a full freezer freezes slowly",
  }),
};

/** A day's task with its words. */
export const taskInWords = (task: DayTask): DayTask & TaskWords => ({
  ...task,
  ...TASK_WORDS[task.key](task.facts),
});
