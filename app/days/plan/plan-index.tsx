/** The sheets of a plan by the ids of what is in them, in the order of the page. */
const SHEETS = [
  { id: "line", words: "Line" },
  { id: "finish", words: "Finish" },
  { id: "helps", words: "What helps" },
  { id: "weather", words: "Weather" },
  { id: "simulation", words: "Simulation" },
  { id: "crew", words: "Crew" },
  { id: "scald", words: "Scald" },
  { id: "chill", words: "Chill" },
  { id: "off-feed", words: "Off feed" },
] as const;

/** Leads to each sheet of the plan and opens it; stays in view while the sheets pass below. */
export function PlanIndex() {
  return (
    <nav aria-label="On this page" className="plan-index">
      <ul className="flex">
        {SHEETS.map(({ id, words }) => (
          <li key={id}>
            <a href={`#${id}`} className="plan-index-link">
              {words}
            </a>
          </li>
        ))}
      </ul>
    </nav>
  );
}
