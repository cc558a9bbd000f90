import { kindReader, newTerms } from '../matching';
import type { WordLists } from '../matching';
import type { Numbers } from '../order';
import { dayNumber } from '../units';
import type { Day } from '../units';

/** A search term: what was typed, what sort it is, and whether the window is the first that has it. */
export interface KnownTerm {
  text: string;
  kind: string;
  isNew: boolean;
}

/** Search terms of a window by id. @param first days on which they were first seen, since 1970 @param from first day of the window */
export function knownTerms(
  { id, first, text }: { id: Numbers; first: Numbers; text: readonly string[] },
  from: Day,
  lists: WordLists,
): ReadonlyMap<number, KnownTerm> {
  const kindOf = kindReader(lists);
  const isNew = newTerms(first, dayNumber(from));
  return new Map(
    text.map((one, at) => [id[at], { text: one, kind: kindOf(one).name, isNew: isNew(first[at]) }]),
  );
}
