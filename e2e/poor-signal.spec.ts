import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";

test.use({
  isDemo: true,
  clock: "2026-09-19T11:00:00Z",
  viewport: { width: 390, height: 844 },
  hasTouch: true,
});

test("taps made without a signal are kept on the phone, sent once it is back, and counted once", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(farm.url);
  await expect(page).toHaveURL(/\/days\/3\/run$/);
  await walk.press("Start the day");
  await walk.press("Bird in the chill tank");
  await expect(page.getByRole("heading", { name: "1 in the chill tank, 57 to go" })).toBeVisible();
  await expect(page.getByText("not sent yet")).toHaveCount(0);

  await page.context().setOffline(true);
  await walk.press("Bird in the chill tank");
  await walk.press("Bird in the chill tank");
  await walk.press("Bird in the chill tank");
  await walk.press("Undo Bird in the chill tank");
  await expect(page.getByRole("heading", { name: "3 in the chill tank, 55 to go" })).toBeVisible();
  await expect(page.getByText("saved on this phone, not sent yet").first()).toBeVisible();
  expect(await birds()).toBe(1);

  await page.context().setOffline(false);
  await expect(page.getByText("not sent yet")).toHaveCount(0);
  await expect.poll(birds).toBe(3);
  await page.reload();
  await expect(page.getByRole("heading", { name: "3 in the chill tank, 55 to go" })).toBeVisible();
  await page.keyboard.press("Space");
  await page.keyboard.press("Space");
  await page.keyboard.press("u");
  await expect(page.getByRole("heading", { name: "4 in the chill tank, 54 to go" })).toBeVisible();
  await expect(page.getByText(/^Likely done .+; 9 in 10 by /)).toBeVisible();

  async function birds(): Promise<number> {
    const { events } = await (await page.request.get(`${farm.url}/days/3/day.json`)).json();
    return events.filter((event: { kind: string }) => event.kind === "bird").length;
  }
});

test("a tap whose answer was lost on the way is not counted again", async ({ request, farm }) => {
  const tap = () =>
    request.post(`${farm.url}/days/3/run/tap`, {
      form: { entryId: "phone-0001-tap-0001", kind: "bird", answer: "json" },
      headers: { Origin: farm.url },
    });
  expect((await tap()).status()).toBe(200);
  expect((await tap()).status()).toBe(200);
  const { events, kept_plan } = await (await request.get(`${farm.url}/days/3/day.json`)).json();
  expect(events.map((event: { kind: string }) => event.kind)).toEqual(["start", "bird"]);
  expect(kept_plan.birdCount).toBe(58);
});
