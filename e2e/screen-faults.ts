import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";

/** What is wrong with screens, all their details open: accessibility faults, and content past the right edge; at the page's own width, or at each of some widths, in CSS pixels. */
export async function screenFaults(
  page: Page,
  url: string,
  screens: readonly string[],
  widths: readonly number[] = [],
): Promise<string[]> {
  const faults: string[] = [];
  for (const screen of screens) {
    await page.goto(url + screen, { waitUntil: "load" });
    await page.evaluate(() => {
      for (const details of document.querySelectorAll("details")) details.open = true;
    });
    if (widths.length === 0) faults.push(...(await faultsNow(page, screen)));
    for (const width of widths) {
      await page.setViewportSize({ width, height: 800 });
      faults.push(...(await faultsNow(page, `${screen} at ${width} px`)));
    }
  }
  return faults;
}

/** What is wrong with the page as it is drawn now, each fault after the page's name. */
export async function faultsNow(page: Page, name: string): Promise<string[]> {
  // No page holds a frame, and what passes need not be described: each halves the time a page takes.
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ["violations"] });
  const { violations } = await axe.analyze();
  const faults = violations.map(({ id, nodes }) => `${name}: ${id}: ${nodes[0]?.html}`);
  const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  if (overflow > 0) faults.push(`${name}: ${overflow} px longer than the edge`);
  faults.push(...(await page.evaluate(smallTargets)).map((target) => `${name}: too small to hit: ${target}`));
  return faults;
}

/** What can be pressed and is lower than a fingertip, or in the yard than a gloved one. Links within a sentence are let be. */
function smallTargets(): string[] {
  const finger = 44;
  const glove = 64;
  const isInSentence = (element: Element) =>
    element.tagName === "A" &&
    getComputedStyle(element).display === "inline" &&
    (element.parentElement?.textContent ?? "").trim() !== (element.textContent ?? "").trim();
  return [...document.querySelectorAll("a[href], button, input, select, textarea, summary")].flatMap(
    (element) => {
      if (element instanceof HTMLInputElement && /^(hidden|file)$/.test(element.type)) return [];
      const isTicked = element instanceof HTMLInputElement && /^(checkbox|radio)$/.test(element.type);
      const stretched = element.classList.contains("stretched-link") ? element.closest("td") : null;
      const target = isTicked ? (element.labels?.[0] ?? element) : (stretched ?? element);
      const { width, height } = target.getBoundingClientRect();
      if (!target.checkVisibility() || width <= 1 || isInSentence(element)) return [];
      const least = element.closest(".yard") ? glove : finger;
      return height < least - 0.5
        ? [`${Math.round(width)}x${Math.round(height)} ${element.outerHTML.slice(0, 90)}`]
        : [];
    },
  );
}
