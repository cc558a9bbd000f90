import { chanceToReach, estimateConversion, PRIOR_ORDERS } from '../evidence';
import type { EvidenceGrade } from '../evidence';
import type { Sums } from '../measures';
import { sumsOfRows } from '../terms';
import type { TermTable } from '../terms';
import { rowsOfForm } from './blocking';
import type { TermWords } from './termWords';

/** One to three words that terms hold together and in order, summed over all of them. */
export interface WordPart {
  text: string;
  /** Number of words, 1 to 3. */
  length: number;
  /** Distinct terms that hold it; each counts once. */
  terms: number;
  sums: Sums;
  /** Spend above what the target allows for its sales; below zero: room. Micros. */
  excess: number;
  grade: EvidenceGrade;
  /** Chance that its conversion reaches what its cost per click needs for the target; null without clicks or sales. */
  chance: number | null;
}

export interface PartSettings {
  /** Share. */
  targetAcos: number;
  /** Parts with fewer clicks are left out. */
  minClicks: number;
}

/** So many words are a part, at most. */
export const LONGEST_PART = 3;
/** Parts are numbered by their words: so many different words fit three to a number. */
const MOST_WORDS = 2 ** 17;

/**
 * Parts of one to three words, summed over the rows that are wanted: each term once, however often it holds the part. What is usual is
 * the account's (the parent of every part). Linear in the words of all terms. Most excess spend first.
 */
export function wordParts(
  terms: TermWords,
  table: TermTable,
  isWanted: (row: number) => boolean,
  { targetAcos, minClicks }: PartSettings,
): WordPart[] {
  const columns = ['impressions', 'clicks', 'spend', 'orders', 'units', 'sales'] as const;
  const ids = new Map<number, number>();
  const counts: number[] = [];
  const seenIn: number[] = [];
  const sums = columns.map(() => [] as number[]);
  const own = new Float64Array(columns.length);
  const { words, wordStart } = terms;
  for (let form = 0; form < terms.forms.length; form += 1) {
    own.fill(0);
    for (const row of rowsOfForm(terms, form))
      if (isWanted(row)) columns.forEach((column, at) => (own[at] += table[column][row]));
    if (own[1] === 0) continue;
    for (let place = wordStart[form]; place < wordStart[form + 1]; place += 1) {
      let key = 0;
      for (let length = 1; length <= LONGEST_PART && place + length <= wordStart[form + 1]; length += 1) {
        const word = words[place + length - 1];
        if (word >= MOST_WORDS - 1) break;
        key = key * MOST_WORDS + word + 1;
        let id = ids.get(key);
        if (id === undefined) {
          ids.set(key, (id = counts.length));
          counts.push(0);
          seenIn.push(-1);
          for (const list of sums) list.push(0);
        }
        if (seenIn[id] === form) continue;
        seenIn[id] = form;
        counts[id] += 1;
        for (let at = 0; at < columns.length; at += 1) sums[at][id] += own[at];
      }
    }
  }
  const all = sumsOfRows(table, Array.from({ length: table.size }, (_, row) => row).filter(isWanted));
  const parts: WordPart[] = [];
  for (const [key, id] of ids) {
    if (sums[1][id] < minClicks) continue;
    const part = Object.fromEntries(columns.map((column, at) => [column, sums[at][id]])) as unknown as Sums;
    parts.push(tell(textOf(key, terms), counts[id], part, all, targetAcos));
  }
  return withoutTwins(parts).sort((a, b) => b.excess - a.excess);
}

/** Of parts that the very same terms hold ("flower" and "flower pot"), the longest is told alone. */
function withoutTwins(parts: WordPart[]): WordPart[] {
  const alike = new Map<string, WordPart[]>();
  for (const part of parts) {
    const { terms, sums } = part;
    const key = `${terms} ${sums.clicks} ${sums.spend} ${sums.sales}`;
    const list = alike.get(key);
    if (list) list.push(part);
    else alike.set(key, [part]);
  }
  return parts.filter((part) => {
    const { terms, sums, text, length } = part;
    const others = alike.get(`${terms} ${sums.clicks} ${sums.spend} ${sums.sales}`)!;
    return !others.some((other) => other.length > length && ` ${other.text} `.includes(` ${text} `));
  });
}

function textOf(key: number, terms: TermWords): string[] {
  const list: string[] = [];
  for (let rest = key; rest > 0; rest = Math.floor(rest / MOST_WORDS))
    list.unshift(terms.written((rest % MOST_WORDS) - 1));
  return list;
}

function tell(words: string[], terms: number, sums: Sums, all: Sums, targetAcos: number): WordPart {
  const prior = { mean: (all.orders + 1) / (all.clicks + 12), strength: PRIOR_ORDERS };
  const value = all.orders > 0 ? all.sales / all.orders : null;
  const needed = value === null || sums.clicks === 0 ? null : sums.spend / sums.clicks / (targetAcos * value);
  return {
    text: words.join(' '),
    length: words.length,
    terms,
    sums,
    excess: sums.spend - targetAcos * sums.sales,
    grade: estimateConversion(sums.clicks, sums.orders, prior).grade,
    chance: needed === null || needed === 0 ? null : chanceToReach(needed, sums.clicks, sums.orders, prior),
  };
}
