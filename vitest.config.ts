import { defineConfig } from "vitest/config";

export default defineConfig({
  test: {
    include: ["{core,db,app,commands,demo,workers,devices}/**/*.test.{ts,tsx}"],
    environment: "node",
    // No test is about time; on a busy machine the longest take ten times as long as alone.
    testTimeout: 120_000,
  },
});
