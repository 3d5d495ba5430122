import { expect, test } from "./farm-server.ts";

test.use({
  isDemo: true,
  clock: "2026-09-19T11:30:00Z",
  viewport: { width: 390, height: 844 },
  hasTouch: true,
});

test("a picture of a bruised bird is shrunk, waits without a signal, and is in the log", async ({
  page,
  farm,
}) => {
  await page.goto(`${farm.url}/days/3/run/look`);
  await expect(page.locator("[data-ready=true]")).toBeVisible();
  const camera = await page.evaluate(() => {
    const canvas = document.createElement("canvas");
    canvas.width = 2600;
    canvas.height = 1900;
    const context = canvas.getContext("2d")!;
    const pixels = context.createImageData(canvas.width, canvas.height);
    for (let at = 0; at < pixels.data.length; at += 1)
      pixels.data[at] = at % 4 === 3 ? 255 : (at * 7919) % 251;
    context.putImageData(pixels, 0, 0);
    return canvas.toDataURL("image/jpeg", 0.95).split(",")[1]!;
  });
  const buffer = Buffer.from(camera, "base64");
  expect(buffer.length).toBeGreaterThan(400_000);

  await expect(page.getByText("look at a bird first")).toBeVisible();
  await page.context().setOffline(true);
  await page.getByRole("button", { name: /^Home use/ }).click();
  await page.getByRole("button", { name: "Bruise" }).click();
  const box = page.getByLabel(/^Picture of the last bird/);
  await box.setInputFiles({ name: "note.txt", mimeType: "text/plain", buffer: Buffer.from("no picture") });
  await expect(page.getByRole("alert")).toHaveText(/can't read that picture/);
  await box.setInputFiles({ name: "bird.jpg", mimeType: "image/jpeg", buffer });
  await expect(page.getByText("1 picture on this phone, not sent yet")).toBeVisible();
  await page.context().setOffline(false);
  await expect(page.getByText(/not sent yet/)).toHaveCount(0, { timeout: 30_000 });

  await page.goto(`${farm.url}/days/3/run/log`);
  const picture = page.getByRole("img", { name: /Home use/ });
  await picture.scrollIntoViewIfNeeded();
  await expect
    .poll(() =>
      picture.evaluate((image: HTMLImageElement) => Math.max(image.naturalWidth, image.naturalHeight)),
    )
    .toBeGreaterThan(400);
  const source = await picture.getAttribute("src");
  const kept = await page.request.get(farm.url + source);
  expect((await kept.body()).length).toBeLessThanOrEqual(200 * 1024);
});
