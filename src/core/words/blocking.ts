import { matchWords } from '../matching';
import type { NegativeMatch } from '../matching';
import type { TermWords } from './termWords';

/** What a negative is about, wherever it stands. */
export interface Blocker {
  match: NegativeMatch;
  expression: string;
}

/**
 * Forms that each of many negatives blocks. The negatives are kept by their first word, and each term is gone through once: linear in
 * the terms, however many negatives there are. Exact and item: the same words in the same order; phrase: the words stand in it
 * together (see isBlocked).
 * @returns by negative, forms ascending
 */
export function blockedForms(terms: TermWords, blockers: readonly Blocker[]): number[][] {
  const blocked: number[][] = blockers.map(() => []);
  const byFirst = new Map<number, { ids: number[]; isWhole: boolean; at: number }[]>();
  blockers.forEach(({ match, expression }, at) => {
    const ids = matchWords(expression).map((word) => terms.wordId(word) ?? -1);
    // A word that no term holds: nothing can be blocked by it.
    if (ids.length === 0 || ids.includes(-1)) return;
    const list = byFirst.get(ids[0]);
    const entry = { ids, isWhole: match !== 'phrase', at };
    if (list) list.push(entry);
    else byFirst.set(ids[0], [entry]);
  });
  if (byFirst.size === 0) return blocked;
  const first = new Uint8Array(terms.wordCount);
  for (const id of byFirst.keys()) first[id] = 1;
  const { words, wordStart } = terms;
  for (let form = 0; form < terms.forms.length; form += 1) {
    const [start, end] = [wordStart[form], wordStart[form + 1]];
    for (let place = start; place < end; place += 1) {
      if (first[words[place]] === 0) continue;
      for (const { ids, isWhole, at } of byFirst.get(words[place])!) {
        if (isWhole ? place !== start || ids.length !== end - start : place + ids.length > end) continue;
        const list = blocked[at];
        if (standsAt(words, place, ids) && list[list.length - 1] !== form) list.push(form);
      }
    }
  }
  return blocked;
}

function standsAt(words: Int32Array, place: number, ids: readonly number[]): boolean {
  for (let at = 1; at < ids.length; at += 1) if (words[place + at] !== ids[at]) return false;
  return true;
}

/** Rows of a form. */
export const rowsOfForm = ({ rows, rowStart }: TermWords, form: number): Int32Array =>
  rows.subarray(rowStart[form], rowStart[form + 1]);
