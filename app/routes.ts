import { index, type RouteConfig, route } from "@react-router/dev/routes";

export default [
  index("home/home.tsx"),
  route("take-back", "home/take-back.ts"),

  route("batches", "batches/batches.tsx"),
  route("batches/new", "batches/new-batch.tsx"),
  route("batches/:batchId", "batches/batch.tsx"),
  route("batches/:batchId/loss", "batches/record-loss.tsx"),
  route("batches/:batchId/feed", "batches/record-feed.tsx"),
  route("batches/:batchId/feed-left", "batches/record-feed-left.tsx"),
  route("batches/:batchId/cost", "batches/record-cost.tsx"),
  route("batches/:batchId/weigh-in", "batches/record-weigh-in.tsx"),

  route("season", "season/season.tsx"),
  route("season/set", "season/set-season.ts"),
  route("season/stop", "season/stop-season.ts"),
  route("season/pin", "season/pin-birds.ts"),

  route("days", "days/days.tsx"),
  route("days/new", "days/plan/new-day.tsx"),
  route("days/:dayId", "days/day.ts"),
  route("days/:dayId/plan", "days/plan/plan.tsx"),
  route("days/:dayId/sheet", "days/plan/run-sheet.tsx"),
  route("days/:dayId/run", "days/run/run.tsx"),
  route("days/:dayId/run/tap", "days/run/tap.ts"),
  route("days/:dayId/run/undo", "days/run/undo.ts"),
  route("days/:dayId/rest", "days/rest/rest.tsx"),
  route("days/:dayId/pack", "days/pack/pack.tsx"),
  route("days/:dayId/pack/take-back", "days/pack/take-back.ts"),
  route("days/:dayId/settle", "days/settle/settle.tsx"),
  route("days/:dayId/settle/cost", "days/settle/add-cost.tsx"),
  route("days/:dayId/settle/reopen", "days/settle/reopen.ts"),
  route("days/:dayId/day.csv", "days/settle/day-csv.ts"),
  route("days/:dayId/day.json", "days/settle/day-json.ts"),

  route("stores", "stores/stores.tsx"),
  route("stores/place", "stores/add-place.tsx"),
  route("stores/out", "stores/take-out.ts"),

  route("books", "books/books.tsx"),
  route("books/past", "books/add-past-batch.tsx"),

  route("yard", "yard/yard.tsx"),
  route("yard/kit", "yard/add-kit.tsx"),

  route("*", "home/nowhere.tsx"),
] satisfies RouteConfig;
