import { formatMoney, formatShare } from '../../../core/units';

/** "scopeId" as "scope id". */
const spaced = (name: string) =>
  name.replace(/([a-z])([A-Z])/g, (_, end: string, begin: string) => `${end} ${begin.toLowerCase()}`);

const isEmpty = (value: unknown) =>
  value === null || value === undefined || value === '' || (Array.isArray(value) && value.length === 0);

const listed = (text: string) => new Set(text.split(' '));
/** Values that stand in the trail as millionths of the account's currency, and as shares of one; what is in neither is told as it stands there. */
const MONEY = listed('price goods fees shipping recovered amount funds spend sales bid cpc');
const SHARES = listed('targetAcos refundRate acos conversion ctr percent');

/** A number as whoever reads it would write it. @param path names that lead to it, the nearest last */
function numberWords(value: number, path: readonly string[]): string {
  const [around, key] = [path.at(-2), path.at(-1) ?? ''];
  const isBound = key === 'low' || key === 'high';
  // The most that an accepted loss may be stands alone; elsewhere the word means counts as well.
  const isMoney = MONEY.has(key) || (isBound && around === 'bid') || (key === 'most' && path.length === 1);
  if (isMoney && Number.isInteger(value)) return formatMoney(value);
  const isShare = SHARES.has(key) || (isBound && around !== 'bid') || around === 'step';
  return isShare ? formatShare(value) : String(value);
}

/** A value of the trail as it is read: names and values, without the signs of a file and without what is empty. */
export function wordsOf(value: unknown, path: readonly string[] = []): string {
  if (isEmpty(value)) return '';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return numberWords(value, path);
  if (Array.isArray(value)) return value.map((one) => wordsOf(one, path)).join(', ');
  if (typeof value !== 'object') return String(value);
  return Object.entries(value as object)
    .map(([key, one]) => [spaced(key), wordsOf(one, [...path, key])])
    .filter(([, words]) => words !== '')
    .map((words) => words.join(' '))
    .join(', ');
}
