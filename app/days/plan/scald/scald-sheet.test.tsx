import { describe, expect, test } from "vitest";
import { planned, STRONG, sheetSaid } from "#app/days/plan/planned-of-tests.tsx";
import { ScaldSheet } from "#app/days/plan/scald/scald-sheet.tsx";
import { own } from "#core/day/plan/days-of-tests.ts";

describe("the sheet of the scald", () => {
  const sheet = (of: Parameters<typeof sheetSaid>[1]) => sheetSaid(<ScaldSheet />, of);

  test("warns of what the heat can do: a dry element, or gas indoors", () => {
    expect(sheet(planned())).toContain("Never power an element that is not fully under water");
    const gas = sheet(planned({}, { scalder: { ...STRONG, heat: "propane" } }));
    expect(gas).toContain("Use gas burners outdoors only: carbon monoxide.");
    expect(gas).not.toContain("element");
    expect(gas).toMatch(/Propane: [\d.]+ lb/);
  });

  test("says from which bird on a weak bath is too cool, and what would be enough", () => {
    const scalder = { ...STRONG, powerWatts: own(1300) };
    const weak = planned({ birds: 40, people: 8, tablePlaces: 4 }, { scalder });
    const { failsAtBird, remedies } = weak.bath;
    const words = sheet(weak);
    expect(words).toContain(`from bird ${failsAtBird} on, the water is too cool`);
    expect(words.match(/, (not )?enough/g) ?? []).toHaveLength(remedies.length - 1);
    expect(words).toMatch(/More power: [\d.]+ kW total, on a circuit rated for it/);
    expect(sheet(planned())).not.toContain("can't keep up");
  });

  test("says what each change of the water costs", () => {
    expect(sheet(planned())).not.toContain("Water changed");
    expect(sheet(planned({ changeWaterBirds: 8 }))).toMatch(
      /Water changed 2 times: the scald stops for .+ each, and [\d.]+ kWh of heat/,
    );
  });

  test("says how long a dip may be, and of a hot bath that both can happen", () => {
    const usual = sheet(planned());
    expect(usual).toMatch(/From \d+ to .+ by our estimate: sooner, feathers hold; later, the skin tears/);
    expect(usual).not.toContain("both can happen");
    const hot = sheet(planned({ scaldMethod: "hot" }));
    expect(hot).toContain("both can happen in one load");
    expect(hot).toContain("the feather test decides");
  });
});
