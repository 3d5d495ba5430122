/** What becomes of a whole bird once it was looked at and weighed. */
export const PURPOSES = [
  { value: "sale", label: "For sale" },
  { value: "own", label: "Home use" },
  { value: "cut", label: "Cut up" },
  { value: "pets", label: "Pets" },
  { value: "condemned", label: "Condemned", line: "give a reason" },
] as const;
