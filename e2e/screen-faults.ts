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
  return overflow > 0 ? [...faults, `${name}: ${overflow} px longer than the edge`] : faults;
}
