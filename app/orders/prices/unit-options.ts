/** What a price can be for, in the units of the farm. */
export const unitOptions = (isUs: boolean) =>
  isUs
    ? [
        { value: "pound", label: "Pound" },
        { value: "pack", label: "Pack" },
        { value: "quart", label: "Quart" },
      ]
    : [
        { value: "kilogram", label: "Kilogram" },
        { value: "pack", label: "Pack" },
        { value: "liter", label: "Liter" },
      ];
