import { randomUUID } from "node:crypto";
import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";

test.use({ isDemo: true, clock: "2026-09-19T14:00:00Z" });

const WEIGHTS = 40;
const KILL_AFTER = 17;

test("a server killed amid a stream of weights loses none that was answered and doubles none", async ({
  request,
  farm,
}) => {
  const weigh = (bird: number, entryId: string) =>
    request.post(`${farm.url}/days/3/pack`, {
      form: {
        entryId,
        birdNumber: String(bird),
        weight: `4 ${(bird % 15) + 0.5}`,
        purpose: "sale",
        reason: "",
        placeId: "",
      },
      headers: { Origin: farm.url },
      maxRedirects: 0,
    });
  const entries = Array.from({ length: WEIGHTS }, () => randomUUID());
  const answered = new Set<number>();
  await packed();
  const stream = entries.map(async (entryId, index) => {
    await new Promise((resolve) => setTimeout(resolve, index * 15));
    const response = await weigh(index + 1, entryId).catch(() => undefined);
    if (response?.status() === 303) answered.add(index + 1);
    if (answered.size === KILL_AFTER) await farm.kill();
  });
  await Promise.all(stream);
  expect(answered.size).toBeGreaterThanOrEqual(KILL_AFTER);
  expect(answered.size).toBeLessThan(WEIGHTS);

  await farm.restart();
  const kept = await packed();
  for (const bird of answered) expect(kept.filter((one) => one === bird)).toHaveLength(1);
  // Whoever got no answer sends again; what had been written all the same is not written twice.
  for (const [index, entryId] of entries.entries())
    expect((await weigh(index + 1, entryId)).status()).toBe(303);
  expect((await packed()).toSorted((one, other) => one - other)).toEqual(
    entries.map((_, index) => index + 1),
  );

  async function packed(): Promise<number[]> {
    const { carcasses } = await (await request.get(`${farm.url}/days/3/day.json`)).json();
    return carcasses.map((carcass: { birdNumber: number }) => carcass.birdNumber);
  }
});

test("what was typed when the server went away is still there when it is back, and is kept once", async ({
  page,
  farm,
}) => {
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/batches/3/loss`);
  await walk.fill({ "How many?": "2", Cause: "fox, the back fence" });
  await farm.kill();
  await walk.press("Save");
  await expect(page.getByRole("heading", { name: "No connection" })).toBeVisible();
  await farm.restart();
  await walk.follow("Back to what I entered");
  await expect(page.getByText("This was sent but not answered")).toBeVisible();
  await expect(page.getByLabel("Cause")).toHaveValue("fox, the back fence");
  await walk.press("Save");
  await expect(page.getByText("fox, the back fence")).toHaveCount(1);
  await page.goto(`${farm.url}/batches/3/loss`);
  await expect(page.getByLabel("Cause")).toHaveValue("");
});

test("a server that is asked to stop ends cleanly", async ({ farm }) => {
  expect(await farm.stop()).toBe(0);
});
