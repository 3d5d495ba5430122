import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";

/** What is wrong with screens, all their details open: accessibility faults, and content past the right edge. */
export async function screenFaults(page: Page, url: string, screens: readonly string[]): Promise<string[]> {
  const faults: string[] = [];
  for (const screen of screens) {
    await page.goto(url + screen, { waitUntil: "load" });
    await page.evaluate(() => {
      for (const details of document.querySelectorAll("details")) details.open = true;
    });
    const { violations } = await new AxeBuilder({ page }).analyze();
    for (const { id, nodes } of violations) faults.push(`${screen}: ${id}: ${nodes[0]?.html}`);
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    if (overflow > 0) faults.push(`${screen}: ${overflow} px longer than the edge`);
  }
  return faults;
}
