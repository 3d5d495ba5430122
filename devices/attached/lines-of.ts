import { LONGEST_LINE } from "#devices/attached/reading-line.ts";

/** Whole lines out of pieces of text. A line that is too long is given as far as it goes, so that it is told of and dropped. */
export async function* linesOf(pieces: AsyncIterable<string>, longest = LONGEST_LINE): AsyncIterable<string> {
  let rest = "";
  for await (const piece of pieces) {
    rest += piece;
    const lines = rest.split("\n");
    rest = lines.pop()!;
    for (const line of lines) yield line.replace(/\r$/, "").slice(0, longest + 1);
    if (rest.length > longest) {
      yield rest.slice(0, longest + 1);
      rest = "";
    }
  }
}
