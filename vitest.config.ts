import { defineConfig } from "vitest/config";

export default defineConfig({
  test: {
    include: ["{core,db,app,commands,demo,workers,devices}/**/*.test.{ts,tsx}"],
    environment: "node",
  },
});
