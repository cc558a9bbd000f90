/** A value of the trail as it is read: names and values without the signs of a file. */
export function wordsOf(value: unknown): string {
  if (value === null || value === undefined) return '';
  if (Array.isArray(value)) return value.map(wordsOf).join(', ');
  if (typeof value !== 'object') return String(value);
  return Object.entries(value)
    .filter(([, one]) => one !== null)
    .map(([key, one]) => `${key} ${wordsOf(one)}`)
    .join(', ');
}
