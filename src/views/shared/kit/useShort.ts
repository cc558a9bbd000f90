import { useState } from 'react';

/** A list is shown by so many at once: what is drawn beyond what can be read costs the page its ease. */
const AT_ONCE = 60;

/** A long list, as far as it is looked at. */
export interface Short<T> {
  /** What is shown of it. */
  shown: readonly T[];
  /** How many hold what was typed. */
  found: number;
  text: string;
  setText: (text: string) => void;
  /** Shows the next ones; null where all are shown. */
  more: (() => void) | null;
}

const folded = (text: string) => text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase();

/** Finds in a long list by words, and shows it piece by piece. @param wordsOf what an entry is found by */
export function useShort<T>(list: readonly T[], wordsOf: (one: T) => string, atOnce = AT_ONCE): Short<T> {
  const [text, setText] = useState('');
  const [count, setCount] = useState(atOnce);
  const words = folded(text).split(/\s+/).filter(Boolean);
  const found =
    words.length === 0
      ? list
      : list.filter((one) => {
          const own = folded(wordsOf(one));
          return words.every((word) => own.includes(word));
        });
  return {
    shown: found.slice(0, count),
    found: found.length,
    text,
    setText: (next) => {
      setText(next);
      setCount(atOnce);
    },
    more: found.length > count ? () => setCount(count + atOnce) : null,
  };
}
