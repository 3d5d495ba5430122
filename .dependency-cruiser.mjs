/** Arrows only point down: app -> db -> core. See docs/architecture.md. */
const rule = (name, from, to) => ({ name, severity: "error", from, to });
const test = "(\\.test|-of-tests)\\.tsx?$";
/** Small, pure packages that core may use, each only where it is named: docs/decisions/0002-packages-in-core.md. */
const corePackages = "^node_modules/(temporal-polyfill|suncalc|@types/suncalc)/";

export default {
  forbidden: [
    rule("core-is-alone", { path: "^core/", pathNot: test }, { pathNot: ["^core/", corePackages] }),
    rule(
      "time-zones-stay-in-calendar",
      { path: "^core/", pathNot: "^core/calendar/" },
      { path: "^node_modules/temporal-polyfill/" },
    ),
    rule(
      "the-sun-stays-in-sky",
      { path: "^core/", pathNot: "^core/sky/" },
      { path: "^node_modules/suncalc/" },
    ),
    rule(
      "core-foundations-import-nobody",
      { path: "^core/(quantity|reckoning|calendar)/", pathNot: test },
      { path: "^core/", pathNot: "^core/(quantity|reckoning|calendar)/" },
    ),
    rule("only-day-joins-the-stages", { path: "^core/", pathNot: "^core/day/" }, { path: "^core/day/" }),
    rule("db-imports-core", { path: "^db/" }, { path: "^(app|commands|demo|workers|devices)/" }),
    rule(
      "sections-are-separate",
      { path: "^app/([^/]+)/", pathNot: "^app/(ui|server)/" },
      {
        path: "^app/[^/]+/",
        pathNot: ["^app/$1/", "^app/(ui|server|words)/"],
      },
    ),
    rule(
      "parts-know-no-section",
      { path: "^app/(ui|server)/" },
      { path: "^app/[^/]+/", pathNot: "^app/(ui|server|words)/" },
    ),
    rule(
      "words-import-core",
      { path: "^app/words/" },
      { path: "^(app|db|workers|devices)/", pathNot: "^app/words/" },
    ),
    rule("workers-import-core-and-db", { path: "^workers/" }, { path: "^(app|commands|demo|devices)/" }),
    rule("devices-import-core", { path: "^devices/" }, { path: "^(app|db|commands|demo|workers)/" }),
    rule("app-imports-downwards", { path: "^app/" }, { path: "^(commands|demo)/" }),
    rule("demo-imports-core-and-db", { path: "^demo/" }, { path: "^(app|commands)/" }),
    rule("only-commands-import-demo", { pathNot: "^(demo|commands)/" }, { path: "^demo/" }),
    // Routes get the farm from their request's context, so that tests and other farms can hand in theirs.
    rule(
      "only-the-root-opens-the-farm",
      { pathNot: "^app/root\\.tsx$" },
      { path: "^app/server/farm/this-farm\\.server\\.ts$" },
    ),
    rule("no-cycles", {}, { circular: true }),
    rule(
      "no-orphans",
      {
        orphan: true,
        pathNot: [
          test,
          "\\.d\\.ts$",
          "^commands/",
          "^workers/[^/]+/worker\\.ts$",
          "^devices/[^/]+/simulate\\.ts$",
          "^app/(root|routes|entry)",
        ],
      },
      {},
    ),
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    exclude: { path: "^(build|\\.react-router)/" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: { exportsFields: ["exports"], conditionNames: ["import", "node", "default"] },
  },
};
