import { expectTypeOf, test } from "vitest";
import type { STATION_TABLE, StationRow } from "#core/processing-line/station-table.ts";

test("a station without its rules, its cell or its time does not compile", () => {
  const row = {
    cell: "back",
    bench: "smoker",
    medianMinutes: 2,
    spread: 0.3,
    drawStream: 14,
    places: 1,
    buffer: 4,
    needed: "always",
    rules: { usesBlade: false, isHot: true, hasMachine: false, isHeavy: false, mayBeGranted: false },
  } as const;
  const { rules: _rules, ...withoutRules } = row;
  const { isHot: _isHot, ...withoutHeat } = row.rules;
  expectTypeOf(row).toExtend<StationRow>();
  expectTypeOf(withoutRules).not.toExtend<StationRow>();
  expectTypeOf({ ...row, rules: withoutHeat }).not.toExtend<StationRow>();

  // A made-up station is missing from every list that does not name it: the compiler says so, file by file.
  type Stations = keyof typeof STATION_TABLE | "smoke";
  expectTypeOf<Record<keyof typeof STATION_TABLE, number>>().not.toExtend<Record<Stations, number>>();
});
