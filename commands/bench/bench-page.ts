import { chromium, type Page } from "@playwright/test";
import { max, median } from "d3-array";
import { withDemoFarm } from "#commands/with-demo-farm.ts";

const AT = "http://127.0.0.1:5291";
const CLOCK = "2026-09-17T10:12:00Z";
const MOVES = 12;
/** The refined answer and what would help are calculated by then. */
const SETTLED_MILLISECONDS = 3000;
const SEARCH_MILLISECONDS = 2500;

/** What a person sees: how soon the plan answers a move, and whether the page stays alive while a crew is looked for. */
export async function benchPage(): Promise<void> {
  await withDemoFarm(AT, CLOCK, async () => {
    const browser = await chromium.launch({
      executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
      args: ["--no-sandbox", "--disable-gpu"],
    });
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${AT}/days/3/plan`, { waitUntil: "networkidle" });
    await page.waitForTimeout(SETTLED_MILLISECONDS);
    const answers: number[] = [];
    for (let move = 0; move < MOVES; move += 1) {
      answers.push(await firstAnswer(page, move % 2 === 0 ? "ArrowLeft" : "ArrowRight"));
      await page.waitForTimeout(SETTLED_MILLISECONDS);
    }
    console.log(
      `\nThe plan in a browser at 1280x800: from a key to the new figure, ${MOVES} moves: ${median(answers)!.toFixed(0)} ms, at most ${max(answers)!.toFixed(0)} ms`,
    );
    await page.getByRole("button", { name: "Find a better crew" }).click();
    const gap = await longestGap(page);
    console.log(`Longest gap between two frames while a crew is looked for: ${gap.toFixed(0)} ms`);
    await browser.close();
  });
}

/** Milliseconds from a key on someone's name until the first figure has changed on the screen. */
const firstAnswer = (page: Page, key: string) =>
  page.evaluate(async (pressed) => {
    const name = document.querySelector<HTMLElement>('button[aria-label^="Juno "]')!;
    const figure = document.querySelector("details.figure")!;
    name.focus();
    const before = figure.textContent;
    const from = performance.now();
    name.dispatchEvent(new KeyboardEvent("keydown", { key: pressed, bubbles: true }));
    while (figure.textContent === before) {
      if (performance.now() - from > 5000) throw new Error("the plan did not answer");
      await new Promise((resolve) => setTimeout(resolve));
    }
    return performance.now() - from;
  }, key);

const longestGap = (page: Page) =>
  page.evaluate(async (milliseconds) => {
    let longest = 0;
    let last = performance.now();
    for (const end = last + milliseconds; last < end; ) {
      await new Promise((resolve) => requestAnimationFrame(resolve));
      const now = performance.now();
      longest = Math.max(longest, now - last);
      last = now;
    }
    return longest;
  }, SEARCH_MILLISECONDS);
