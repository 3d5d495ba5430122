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
      await this.unfold(box);
      await box.fill(value);
      // Where the page's scripts took the box over between the choice of all that was in it and the typing.
      if ((await box.inputValue()) !== value) await box.fill(value);
    }
  }

  async choose(option: string): Promise<void> {
    const label = this.page.locator("label").getByText(option, { exact: true }).first();
    await this.unfold(label);
    await label.click();
  }

  async press(name: string): Promise<void> {
    const button = this.page.getByRole("button", { name, exact: true });
    // A button of a part that is not open is no button to those who look for one by its role.
    const folded = this.page.locator(".part-fields button", { hasText: name });
    if ((await folded.count()) > 0) await this.unfold(folded);
    await button.click();
  }

  /** Settles the day that is shown, whatever it is asked about before. */
  async settle(): Promise<void> {
    const asked = this.page.getByLabel("Settle as it stands");
    if ((await asked.count()) > 0) await asked.check();
    await this.press("Settle this day");
  }

  /** Opens a sheet of the plan that is folded to its heading. */
  async open(heading: string): Promise<Locator> {
    const sheet = this.page.getByRole("region", { name: heading, exact: true });
    await sheet.getByRole("heading", { name: heading, exact: true }).click();
    return sheet;
  }

  /** Opens the part of the plan's sentence that a field belongs to, where it is not in view. */
  private async unfold(field: Locator): Promise<void> {
    if (await field.first().isVisible()) return;
    const part = await field.first().evaluate((box) => box.closest(".part-fields")?.id);
    if (part === undefined) return;
    // A page that is still being drawn may move under the finger; then it is tapped again.
    await expect(async () => {
      if (!(await field.first().isVisible()))
        await this.page.locator(`a[aria-controls="${part}"]`).first().click();
      await expect(field.first()).toBeVisible({ timeout: 1000 });
    }).toPass();
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
    await this.page.getByText("Units and money").click();
    await this.choose(units);
    await this.page.getByLabel("Money").selectOption(money);
    await this.press("Start");
    await expect(this.page.getByRole("heading", { name: "Start with the chicks" })).toBeVisible();
    // On a phone its sheets are folded; the address of one opens it.
    await this.page.goto(`${this.url}/farm#planning`);
    await this.page.getByLabel("Lights on in the pens").check();
    await this.press("Save farm");
    await expect(this.page.getByText("Saved.")).toBeVisible();
    await this.page.goto(`${this.url}/batches`);
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
