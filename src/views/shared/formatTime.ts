import { formatDay } from '../../core/units';

let zone = 'UTC';
let writer = writerFor(zone);

function writerFor(timeZone: string) {
  return new Intl.DateTimeFormat('en-GB', {
    timeZone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    timeZoneName: 'short',
  });
}

/** From now on points of time are shown as in a time zone, which is the account's. @param timeZone an IANA name */
export function showTimesIn(timeZone: string): void {
  if (timeZone === zone) return;
  zone = timeZone;
  writer = writerFor(timeZone);
}

/** A point of time as "24 Nov, 03:15 CET": in the account's zone, which is named. */
export function formatTime(iso: string): string {
  const parts = Object.fromEntries(
    writer.formatToParts(new Date(iso)).map(({ type, value }) => [type, value]),
  );
  const { year, month, day, hour, minute, timeZoneName } = parts;
  return `${formatDay(`${year}-${month}-${day}`)}, ${hour}:${minute} ${timeZoneName}`;
}
