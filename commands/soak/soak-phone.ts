import type { NewsAfter } from "#app/days/run/live/live-day.ts";
import { type KnownFacts, leavesGap, withNews } from "#app/days/run/taps/known-facts.ts";
import type { FactKind } from "#core/day/run/day-fact.ts";

interface Waiting {
  readonly entryId: string;
  readonly fields: Readonly<Record<string, string>>;
  readonly undoes: string | undefined;
}

/** What a phone taps, by turns of luck: kinds that need no more than a number. */
const KINDS: readonly { readonly kind: FactKind; readonly fields?: Readonly<Record<string, string>> }[] = [
  { kind: "bird", fields: { number: "1" } },
  { kind: "kill", fields: { number: "2" } },
  { kind: "table" },
  { kind: "water", fields: { celsius: "59.5" } },
  { kind: "plucked", fields: { birds: "2" } },
];
const UNDO_SHARE = 0.1;
/** An answer that does not come within this is as good as none. */
const PATIENCE_MILLISECONDS = 3000;

/** A phone as the soak has it: it taps, keeps what waits, sends it in order, and learns what others tapped. */
export class SoakPhone {
  hasSignal = true;
  /** Hears of each answer: how long it took, milliseconds, and its size, bytes. */
  answered: (milliseconds: number, bytes: number) => void = () => {};
  readonly #at: string;
  readonly #dayId: number;
  readonly #device: string;
  readonly #waiting: Waiting[] = [];
  readonly #tapped: string[] = [];
  readonly #undone = new Set<string>();
  #known: KnownFacts = { cursor: 0, facts: [] };
  #isSending = false;

  constructor(at: string, dayId: number, device: string) {
    this.#at = at;
    this.#dayId = dayId;
    this.#device = device;
  }

  /** @param luck between 0 and 1: what is tapped, or whether the last tap is taken back */
  tap(luck: number, at: number): void {
    const entryId = `${this.#device}-${this.#tapped.length}-${this.#undone.size}`;
    const last = this.#tapped.at(-1);
    if (luck < UNDO_SHARE && last !== undefined && !this.#undone.has(last)) {
      this.#undone.add(last);
      this.#waiting.push({ entryId, undoes: last, fields: { entryId: last } });
      return;
    }
    const { kind, fields = {} } = KINDS[Math.floor(luck * 1000) % KINDS.length]!;
    this.#tapped.push(entryId);
    this.#waiting.push({
      entryId,
      undoes: undefined,
      fields: { ...fields, entryId, kind, at: String(Math.round(at)) },
    });
  }

  /** Sends what waits, until something is not answered. @returns whether nothing waits any more */
  async send(): Promise<boolean> {
    if (this.#isSending || !this.hasSignal) return false;
    this.#isSending = true;
    try {
      for (let next = this.#waiting[0]; next; next = this.#waiting[0]) {
        if (!(await this.#sent(next))) return false;
        this.#waiting.shift();
      }
      return true;
    } finally {
      this.#isSending = false;
    }
  }

  /** Sends until all is answered. */
  async flush(): Promise<void> {
    while (!(await this.send())) await new Promise((resolve) => setTimeout(resolve, 50));
  }

  /** Asks for what is still new. */
  async catchUp(): Promise<void> {
    const response = await fetch(`${this.#at}/days/${this.#dayId}/run/news?after=${this.#known.cursor}`);
    this.#known = withNews(this.#known, (await response.json()) as NewsAfter);
  }

  /** Ids of what was tapped and not taken back. */
  meant(): string[] {
    return this.#tapped.filter((entryId) => !this.#undone.has(entryId));
  }

  /** Ids of all that this phone has heard of, sorted. */
  knows(): string {
    return this.#known.facts
      .map(({ entryId }) => entryId)
      .sort()
      .join();
  }

  async #sent({ fields, undoes }: Waiting): Promise<boolean> {
    const body = new FormData();
    const all = { ...fields, device: this.#device, answer: "json", after: String(this.#known.cursor) };
    for (const [name, value] of Object.entries(all)) body.set(name, value);
    const sentAt = performance.now();
    try {
      const response = await fetch(
        `${this.#at}/days/${this.#dayId}/run/${undoes === undefined ? "tap" : "undo"}`,
        {
          method: "POST",
          body,
          headers: { Origin: this.#at },
          signal: AbortSignal.timeout(PATIENCE_MILLISECONDS),
        },
      );
      if (!response.ok) return false;
      const text = await response.text();
      this.answered(performance.now() - sentAt, Buffer.byteLength(text));
      const news = JSON.parse(text) as NewsAfter;
      if (leavesGap(this.#known, news)) await this.catchUp();
      else this.#known = withNews(this.#known, news);
      return true;
    } catch {
      return false;
    }
  }
}
