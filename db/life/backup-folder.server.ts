/** Where a data file's archives are kept: PALE_MORNING_BACKUPS, else a folder beside it that has its name. */
export const backupFolder = (
  path: string,
  environment: Readonly<Record<string, string | undefined>>,
): string => environment.PALE_MORNING_BACKUPS || `${path}.backups`;
