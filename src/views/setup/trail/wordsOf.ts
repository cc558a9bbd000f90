/** "scopeId" as "scope id". */
const spaced = (name: string) =>
  name.replace(/([a-z])([A-Z])/g, (_, end: string, begin: string) => `${end} ${begin.toLowerCase()}`);

const isEmpty = (value: unknown) =>
  value === null || value === undefined || value === '' || (Array.isArray(value) && value.length === 0);

/** A value of the trail as it is read: names and values, without the signs of a file and without what is empty. */
export function wordsOf(value: unknown): string {
  if (isEmpty(value)) return '';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.map(wordsOf).join(', ');
  if (typeof value !== 'object') return String(value);
  return Object.entries(value as object)
    .filter(([, one]) => !isEmpty(one))
    .map(([key, one]) => `${spaced(key)} ${wordsOf(one)}`)
    .join(', ');
}
