const times = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
});

/** A point of time as "24 Nov, 03:15", in the reader's own zone. */
export function formatTime(iso: string): string {
  return times.format(new Date(iso));
}
