import { defineConfig } from "@playwright/test";

export default defineConfig({
  testDir: "e2e",
  timeout: 180_000,
  expect: { timeout: 25_000 },
  workers: 2,
  fullyParallel: true,
  forbidOnly: true,
  reporter: [["list"], ["json", { outputFile: "test-results/browser.json" }]],
  use: {
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
      args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
    },
    locale: "en-US",
  },
});
