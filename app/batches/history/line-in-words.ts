import { type EnteredLine, readStoryLine } from "#app/batches/history/story-line.ts";
import { plural, type Show } from "#app/words/show.ts";

/**
 * What a line is read as, while it is typed: so that nobody takes a note for a count. Empty where nothing is typed.
 *
 * @param text as a form has it: not always text, since anybody may send anything
 */
export function readAs(text: unknown, show: Show): string {
  if (typeof text !== "string" || text.trim() === "") return "";
  const read = readStoryLine(text, show.unitSystem);
  return "problem" in read ? read.problem : `Read as: ${lineInWords(read, show)}`;
}

function lineInWords(line: EnteredLine, show: Show): string {
  switch (line.kind) {
    case "loss":
      return `${plural(line.birds, "bird")} lost${line.cause === "" ? "" : `, ${line.cause}`}`;
    case "weights":
      return `${plural(line.weights.length, "bird")} weighed alive`;
    case "feed":
      return `${plural(line.bags, "bag")} of feed bought at ${show.money(line.bagCents)} each`;
    case "opened":
      return `${plural(line.bags, "bag")} of feed opened`;
    case "left":
      return `${line.bags} bags of feed left`;
    case "to-stock":
      return `${line.bags} bags of feed put into stock`;
    case "from-stock":
      return `${line.bags} bags of feed taken from stock`;
    case "gave":
      return `${line.bags} bags of feed given to ${line.toName}`;
    case "moved":
      return `${plural(line.birds, "bird")} moved to ${line.toPen}`;
    case "arrived":
      return `${plural(line.birds, "chick")} arrived alive`;
    case "vaccine":
      return "vaccinated";
    case "cost":
      return `${show.money(line.cents)} for ${line.what}`;
    case "note":
      return "a note. Nothing is counted from it";
  }
}
