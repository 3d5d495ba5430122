/** The time zone of the machine, for words that are said before a farm is open. */
export const ownTimeZone = (): string => new Intl.DateTimeFormat().resolvedOptions().timeZone;
