/** What a phone remembers of itself; a full or private browser forgets it with the page. */
export function readKept(key: string): string | undefined {
  try {
    return localStorage.getItem(key) ?? undefined;
  } catch {
    return undefined;
  }
}

export function writeKept(key: string, value: string): void {
  try {
    localStorage.setItem(key, value);
  } catch {
    // The page goes on with what it holds.
  }
}
