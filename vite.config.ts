import { reactRouter } from "@react-router/dev/vite";
import tailwindcss from "@tailwindcss/vite";
import { defineConfig, type Plugin } from "vite";
import { generateSW } from "workbox-build";

const TWO_DAYS_SECONDS = 2 * 24 * 60 * 60;

/** Modules that start the browser's side of a yard screen. */
const isYardModule = (id: string): boolean =>
  /\/app\/(root\.tsx|days\/run\/)/.test(id) || id.includes("entry.client");

/** Builds the service worker once the browser's files are there. It keeps what the yard screens need, and nothing else. */
const serviceWorker = (): Plugin => {
  const needed = new Set<string>();
  return {
    name: "service-worker",
    apply: "build",
    generateBundle(_options, bundle) {
      if (this.environment.name !== "client") return;
      const add = (fileName: string) => {
        const chunk = bundle[fileName];
        if (needed.has(fileName) || chunk?.type !== "chunk") return;
        needed.add(fileName);
        for (const other of chunk.imports) add(other);
      };
      for (const chunk of Object.values(bundle))
        if (chunk.type === "chunk" && Object.keys(chunk.modules).some(isYardModule)) add(chunk.fileName);
    },
    closeBundle: {
      sequential: true,
      async handler() {
        if (this.environment.name === "client") await writeServiceWorker(needed);
      },
    },
  };
};

async function writeServiceWorker(needed: ReadonlySet<string>): Promise<void> {
  await generateSW({
    globDirectory: "build/client",
    globPatterns: ["assets/**/*.{js,css,woff2}", "icon.svg"],
    manifestTransforms: [
      (entries) => ({
        manifest: entries.filter(({ url }) => !url.endsWith(".js") || needed.has(url)),
      }),
    ],
    swDest: "build/client/service-worker.js",
    inlineWorkboxRuntime: true,
    sourcemap: false,
    mode: "production",
    clientsClaim: true,
    skipWaiting: true,
    cleanupOutdatedCaches: true,
    navigateFallback: null,
    // The names of assets carry a hash of what is in them.
    dontCacheBustURLsMatching: /^assets\//,
    runtimeCaching: [
      {
        urlPattern: /\/assets\/manifest-\w+\.js$/,
        handler: "CacheFirst",
        options: { cacheName: "yard-routes", expiration: { maxEntries: 3 } },
      },
      {
        // A day's yard screens must open where there is no signal. No other page is kept: some of them show money.
        // This function is written into the worker as it stands, so it may name nothing from outside.
        urlPattern: ({ url, sameOrigin }) =>
          sameOrigin &&
          /^\/days\/\d+\/run(\/(cones|scald|table|look|chill|alone|board))?$/.test(url.pathname),
        handler: "NetworkFirst",
        options: {
          cacheName: "yard-screens",
          networkTimeoutSeconds: 4,
          expiration: { maxEntries: 30, maxAgeSeconds: TWO_DAYS_SECONDS },
          cacheableResponse: { statuses: [200] },
        },
      },
    ],
  });
}

export default defineConfig({
  plugins: [tailwindcss(), reactRouter(), serviceWorker()],
  ssr: { external: ["better-sqlite3"] },
});
