/** Where a farm's data file lies if no one says otherwise. */
export function defaultDataFile(name: string): string;
