import { readingText } from "#devices/attached/reading-line.ts";
import { expect, test } from "./farm-server.ts";
import { FarmWalk } from "./farm-walk.ts";
import { screenFaults } from "./screen-faults.ts";
import { startDevice } from "./stand-ins.ts";

test.use({ isDemo: true, clock: "2026-09-19T11:00:00Z" });

test("a probe is attached, its water moves the countdown of a dip, and its unplugging is seen within ten seconds", async ({
  page,
  farm,
}) => {
  const { port, child } = await startDevice("bath-probe", ["--liters", "30", "--watts", "0"]);
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/farm/devices`);
  await walk.fill({ Address: "http://probe", Port: "0" });
  await walk.press("Attach");
  await expect(page.getByText(/^Enter an address such as/)).toBeVisible();
  await walk.fill({ Address: "127.0.0.1", Port: String(port) });
  await walk.press("Attach");
  await expect(page.getByText(/^Simulated, reading/).first()).toBeVisible();
  expect(await screenFaults(page, farm.url, ["/farm/devices"])).toEqual([]);

  const scald = await page.context().newPage();
  await scald.setViewportSize({ width: 390, height: 844 });
  await scald.goto(`${farm.url}/days/3/run/scald`);
  await expect(scald.getByText(/^probe \d+ s ago$/)).toBeVisible();
  await scald.getByRole("button", { name: "Dip 1 bird" }).click();
  const liftBy = async (): Promise<number> => {
    const said = await scald.getByText(/lift by/).textContent();
    const [, minutes, seconds] = /lift by (\d+):(\d\d)/.exec(said ?? "") ?? [];
    return Number(minutes) * 60 + Number(seconds);
  };
  const before = await liftBy();
  await page.getByRole("button", { name: "Pour in cold water" }).click();
  await expect.poll(liftBy, { timeout: 20_000 }).toBeGreaterThan(before + 10);
  await expect(scald.getByText(/\d+ s longer than in a bath at its setting/)).toBeVisible();

  child.kill("SIGKILL");
  await expect(scald.getByRole("alert")).toHaveText(/Probe (not reached|silent)/, { timeout: 10_000 });
  expect(await scald.evaluate(() => document.documentElement.scrollHeight <= window.innerHeight)).toBe(true);
  await scald.getByRole("button", { name: /^Slip/ }).click();
  await expect(scald.getByRole("button", { name: "Dip 1 bird" })).toBeVisible();
});

test("a weight is taken from the scale, once it lies still", async ({ page, farm }) => {
  const { port, child } = await startDevice("bench-scale");
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/farm/devices`);
  await walk.choose("Bench scale");
  await walk.fill({ Address: "127.0.0.1", Port: String(port) });
  await walk.press("Attach");
  const weighing = await page.context().newPage();
  await weighing.goto(`${farm.url}/days/3/pack`);
  await expect(weighing.getByRole("button", { name: "The scale is empty" })).toBeDisabled();
  await page.getByRole("button", { name: "Put on a usual bird" }).click();
  await weighing.getByRole("button", { name: "Take 4 lb 2.5 oz from the scale" }).click();
  await expect(weighing.getByLabel("Weight", { exact: true })).toHaveValue("1885g");
  await page.getByRole("button", { name: "Unplug for 20 s" }).last().click();
  await expect(weighing.getByText(/^Scale silent/)).toBeVisible({ timeout: 10_000 });
  child.kill("SIGKILL");

  await page.getByRole("button", { name: "Remove: Bench scale" }).click();
  await expect(page.getByRole("heading", { name: "Bench scale" })).toHaveCount(1);
});

test("a probe that is plugged into the phone itself is read there, and told to the farm", async ({
  browser,
  farm,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const lines = Array.from({ length: 40 }, (_, turn) =>
    readingText({
      device: "bath-probe",
      valueThousandths: 58_000 + (turn % 3) * 10,
      isSteady: true,
      battery: turn < 20 ? 60 : 9,
    }),
  );
  await context.addInitScript((said: readonly string[]) => {
    let at = 0;
    const port = {
      open: async () => undefined,
      close: async () => undefined,
      readable: new ReadableStream<Uint8Array>({
        async pull(controller) {
          await new Promise((resolve) => setTimeout(resolve, 250));
          if (at === said.length) controller.close();
          else controller.enqueue(new TextEncoder().encode(`${said[at]}\n`));
          at += 1;
        },
      }),
    };
    Object.defineProperty(navigator, "serial", { value: { getPorts: async () => [port] } });
  }, lines);
  const page = await context.newPage();
  await page.goto(`${farm.url}/days/3/run/scald`);
  await expect(page.getByText(/^probe \d+ s ago$/)).toBeVisible();
  await expect(page.getByText("136.4 °F", { exact: true })).toBeVisible();
  await expect(page.getByText("The probe's battery is at 9 %.")).toBeVisible();
  const told = async () => {
    const { events } = await (await page.request.get(`${farm.url}/days/3/day.json`)).json();
    return events.filter(({ kind }: { kind: string }) => kind === "water").length;
  };
  await expect.poll(told).toBe(1);
  await expect(page.getByRole("alert")).toHaveText(/Probe not reached/, { timeout: 15_000 });
  await context.close();
});

test("calls and the board are said aloud on request, by the phone's own voice alone", async ({
  browser,
  farm,
}) => {
  const sayings = async (voices: readonly { lang: string; localService: boolean }[]) => {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.addInitScript((all) => {
      const said: string[] = [];
      Object.assign(window, {
        said,
        SpeechSynthesisUtterance: class {
          constructor(readonly text: string) {}
        },
      });
      const speak = ({ text }: { text: string }) => said.push(text);
      const speech = { getVoices: () => all, cancel: () => undefined, speak };
      Object.defineProperty(window, "speechSynthesis", { value: speech });
    }, voices);
    const page = await context.newPage();
    await page.goto(`${farm.url}/days/3/run/board`);
    await expect(page.locator("[data-ready=true]")).toBeVisible();
    await page.getByRole("button", { name: "Say it aloud" }).click();
    const said = await page.evaluate(() => (window as unknown as { said: string[] }).said);
    await context.close();
    return said;
  };
  expect(await sayings([{ lang: "en-US", localService: false }])).toEqual([]);
  const local = await sayings([
    { lang: "de-DE", localService: true },
    { lang: "en-US", localService: true },
  ]);
  expect(local).toEqual(["0 of 58 birds are in the chill."]);
});

test("labels are sent to the label printer, and where its paper ends the rest is printed once there is a new roll", async ({
  page,
  farm,
}) => {
  const { port, child } = await startDevice("label-printer");
  const walk = new FarmWalk(page, farm.url);
  await page.goto(`${farm.url}/farm/devices`);
  await walk.choose("Label printer");
  await walk.fill({ Address: "127.0.0.1", Port: String(port) });
  await walk.press("Attach");
  const printer = page.getByRole("region", { name: "Label printer" });
  await expect(printer).toContainText("Simulated, ready, 60 labels left.");
  await walk.press("Take its paper out");
  await expect(printer).toContainText("out of paper. Put in a new roll");

  await page.goto(`${farm.url}/freezers/place/2`);
  await page.getByRole("checkbox").nth(0).check();
  await page.getByRole("checkbox").nth(1).check();
  await walk.press("Send the ticked labels to the label printer");
  await expect(page.getByText("0 of 2 labels were printed, then the printer stopped")).toBeVisible();
  await page.goto(`${farm.url}/farm/devices`);
  await walk.press("Put in a roll of 60");
  await expect(printer).toContainText("ready, 60 labels left");
  await page.goto(`${farm.url}/freezers/place/2`);
  await page.getByRole("checkbox").nth(0).check();
  await page.getByRole("checkbox").nth(1).check();
  const code =
    (await page.getByRole("region", { name: "Contents" }).getByRole("link").nth(1).textContent()) ?? "";
  await walk.press("Send the ticked labels to the label printer");
  await expect(page.getByRole("heading", { name: "Barn chest" })).toBeVisible();
  await page.goto(`${farm.url}/farm/devices`);
  await expect(printer).toContainText("58 labels left");
  await expect(printer.getByRole("img", { name: new RegExp(`^Printed last: .*${code}`) })).toBeVisible();
  expect(await screenFaults(page, farm.url, ["/farm/devices"])).toEqual([]);
  child.kill("SIGKILL");
  await page.goto(`${farm.url}/farm/devices`);
  await expect(printer).toContainText("not reached");
});
