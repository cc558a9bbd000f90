import { formatMoney, formatShare } from '../../../core/units';

/** "scopeId" as "scope id". */
const spaced = (name: string) =>
  name.replace(/([a-z])([A-Z])/g, (_, end: string, begin: string) => `${end} ${begin.toLowerCase()}`);

const isEmpty = (value: unknown) =>
  value === null || value === undefined || value === '' || (Array.isArray(value) && value.length === 0);

/** Values that stand in the trail as millionths of the account's currency. */
const MONEY = new Set(
  'bid price goods fees shipping recovered spend sales budget amount defaultBid perDay cpc cost cap most'.split(
    ' ',
  ),
);
/** Values that stand there as shares of one. */
const SHARES = new Set('targetAcos low high percent up down refundRate acos'.split(' '));
const COUNTED = new Set(['changes', 'clicks', 'orders', 'impressions']);

/** A number as whoever reads it would write it. @param path names that lead to it, the nearest last */
function numberWords(value: number, path: readonly string[]): string {
  const [around, key] = [path.at(-2), path.at(-1) ?? ''];
  // The least and the most of a bid are money as the bid is.
  const isMoney = around !== undefined && MONEY.has(around) && !COUNTED.has(key) ? true : MONEY.has(key);
  if (isMoney) return formatMoney(value);
  return SHARES.has(key) ? formatShare(value) : String(value);
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
