/** A cursor as it was sent; 0, from the day's beginning, for what is none. */
export const cursorFrom = (text: string | null | undefined): number =>
  /^\d{1,15}$/.test(text ?? "") ? Number(text) : 0;
