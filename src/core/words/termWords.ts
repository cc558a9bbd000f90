import { foldPlural, wordsOf } from '../matching';

/**
 * Search terms by their words: terms that matching does not tell apart are one form, and each form is a run of word numbers. Comparing
 * numbers, half a million terms are gone through in a moment. Built once, linear in the terms.
 */
export interface TermWords {
  /** Distinct forms (see matchForm), and which of them a row has. */
  forms: readonly string[];
  formOfRow: Int32Array;
  /** Rows of a form f stand in rows from rowStart[f] to rowStart[f + 1]. */
  rows: Int32Array;
  rowStart: Int32Array;
  /** Word numbers of a form f stand in words from wordStart[f] to wordStart[f + 1]. */
  words: Int32Array;
  wordStart: Int32Array;
  /** Number of a word as matching folds it; undefined for one that no term holds. */
  wordId: (word: string) => number | undefined;
  /** A word as shoppers mostly write it. */
  written: (id: number) => string;
  wordCount: number;
}

/** @param forms terms by row in match form @param normalised the same terms normalised, for how words are written */
export function termWords(forms: readonly string[], normalised: readonly string[]): TermWords {
  const formIds = new Map<string, number>();
  const formOfRow = Int32Array.from(forms, (form) => {
    let id = formIds.get(form);
    if (id === undefined) formIds.set(form, (id = formIds.size));
    return id;
  });
  const distinct = [...formIds.keys()];
  const wordIds = new Map<string, number>();
  const ids: number[] = [];
  const wordStart = new Int32Array(distinct.length + 1);
  distinct.forEach((form, at) => {
    for (const word of form === '' ? [] : form.split(' ')) {
      let id = wordIds.get(word);
      if (id === undefined) wordIds.set(word, (id = wordIds.size));
      ids.push(id);
    }
    wordStart[at + 1] = ids.length;
  });
  const names = [...wordIds.keys()];
  return {
    forms: distinct,
    formOfRow,
    ...rowsByForm(formOfRow, distinct.length),
    words: Int32Array.from(ids),
    wordStart,
    wordId: (word) => wordIds.get(word),
    written: writtenWords(names, wordIds, normalised),
    wordCount: names.length,
  };
}

function rowsByForm(formOfRow: Int32Array, count: number): { rows: Int32Array; rowStart: Int32Array } {
  const rowStart = new Int32Array(count + 1);
  for (const form of formOfRow) rowStart[form + 1] += 1;
  for (let form = 0; form < count; form += 1) rowStart[form + 1] += rowStart[form];
  const next = rowStart.slice();
  const rows = new Int32Array(formOfRow.length);
  formOfRow.forEach((form, row) => {
    rows[next[form]] = row;
    next[form] += 1;
  });
  return { rows, rowStart };
}

/** Folding makes stems that need not be words ("cooky"): what is shown is the spelling met most often. */
function writtenWords(
  names: readonly string[],
  ids: ReadonlyMap<string, number>,
  normalised: readonly string[],
): (id: number) => string {
  let known: string[] | null = null;
  return (id) => {
    known ??= findSpellings();
    return known[id];
  };

  function findSpellings(): string[] {
    const counts = new Map<string, number>();
    for (const term of normalised)
      for (const word of wordsOf(term)) counts.set(word, (counts.get(word) ?? 0) + 1);
    const spelled = names.slice();
    const most = new Int32Array(names.length);
    for (const [word, count] of counts) {
      const id = ids.get(foldPlural(word));
      if (id !== undefined && count > most[id]) [spelled[id], most[id]] = [word, count];
    }
    return spelled;
  }
}
