/** Whether the tz database that this program runs with knows a name. */
export function isTimeZone(name: string): boolean {
  try {
    return Boolean(new Intl.DateTimeFormat('en-GB', { timeZone: name }));
  } catch {
    return false;
  }
}

/** The time zone of the machine that the program runs on. */
export const machineTimeZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';

/** The calendar day in a time zone, 'YYYY-MM-DD'. */
export const dayIn = (timeZone: string, at: Date): string =>
  new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(
    at,
  );

/** The hour of the clock in a time zone, 0 to 23. */
export const hourIn = (timeZone: string, at: Date): number =>
  Number(new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', hourCycle: 'h23' }).format(at));
