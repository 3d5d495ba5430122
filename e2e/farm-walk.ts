import { expect, type Locator, type Page } from "@playwright/test";

/** Steps that several walks take in the same way. Everything is found by its role and name. */
export class FarmWalk {
  constructor(
    readonly page: Page,
    readonly url: string,
  ) {}

  /** Fills fields by their labels: text where a box is, a choice where one is offered. */
  async fill(fields: Readonly<Record<string, string>>): Promise<void> {
    for (const [label, value] of Object.entries(fields)) {
      const box = this.page.getByLabel(label, { exact: true });
      await box.fill(value);
      // Where the page's scripts took the box over between the choice of all that was in it and the typing.
      if ((await box.inputValue()) !== value) await box.fill(value);
    }
  }

  async choose(option: string): Promise<void> {
    await this.page.locator("label").getByText(option, { exact: true }).first().click();
  }

  async press(name: string): Promise<void> {
    await this.page.getByRole("button", { name, exact: true }).click();
  }

  /** Presses a button and waits until what it sends is answered, so that the page may be left. */
  async save(name: string): Promise<void> {
    const answered = this.page.waitForResponse((response) => response.request().method() === "POST");
    await this.press(name);
    await answered;
  }

  async follow(name: string): Promise<void> {
    await this.leave(this.page.getByRole("link", { name, exact: true }).first());
  }

  /** Follows a link and waits until the next page is drawn: its address changes before that. */
  private async leave(link: Locator): Promise<void> {
    const heading = this.page.locator("h1").first();
    const left = (await heading.count()) > 0 ? await heading.elementHandle() : null;
    await link.click();
    // Where the page is loaded as a whole, its old heading can't be asked any more.
    const isStill = () => left?.evaluate((old) => old.isConnected).catch(() => false) ?? false;
    await expect.poll(isStill).toBe(false);
    await expect(heading).toBeVisible();
  }

  /** From an empty file to a farm that is set up. */
  async begin({ units, money }: { units: string; money: string }): Promise<void> {
    await this.page.goto(this.url);
    await expect(this.page.getByRole("heading", { name: "Good morning" })).toBeVisible();
    await this.fill({ "Name of the farm": "Low Gate", Latitude: "43.9", Longitude: "-71.6" });
    await this.page.getByLabel("Time zone").selectOption("America/New_York");
    await this.choose(units);
    await this.page.getByLabel("Money").selectOption(money);
    await this.page.getByLabel("Lights on in the pens").check();
    await this.press("Start");
    await expect(this.page.getByRole("heading", { name: "Start with the chicks" })).toBeVisible();
  }

  /** Writes one thing down of the batch that is shown, and comes back to it. */
  async writeDown(thing: string, fields: Readonly<Record<string, string>>, submit = "Save"): Promise<void> {
    await this.follow(thing);
    await this.fill(fields);
    await this.press(submit);
    await expect(this.page.getByRole("heading", { name: "History" })).toBeVisible();
  }

  /** Weighs one bird and waits until its form is there for the next. */
  async weigh(bird: number, weight: string, use: string): Promise<void> {
    await expect(this.page.getByRole("heading", { name: `Bird ${bird}`, exact: true })).toBeVisible();
    await this.fill({ Weight: weight });
    await this.choose(use);
    await this.press("Save weight");
    await expect(this.page.getByText(new RegExp(`^last: bird ${bird},`))).toBeVisible();
  }

  /** The words of a figure by its label: its value and what stands beside it. */
  figure(label: string) {
    return this.page
      .locator("details.figure")
      .filter({ has: this.page.getByText(label, { exact: true }) })
      .locator("summary");
  }

  async leaf(name: string): Promise<void> {
    const sections = this.page.getByRole("navigation", { name: "Sections of this day" });
    await this.leave(sections.getByRole("link", { name }));
  }
}
