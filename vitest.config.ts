import { defineConfig } from "vitest/config";

export default defineConfig({
  test: {
    include: ["{core,db,app,commands,demo}/**/*.test.ts"],
    environment: "node",
  },
});
