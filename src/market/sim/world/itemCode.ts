import type { Stream } from '../chance/stream';

const LETTERS = 'BCDFGHJKLMNPQRSTVWXZ';

/** A made-up item code of the market: Q, then letters and digits, ten characters. */
export function makeItemCode(random: Stream): string {
  const digit = () => String(random.below(10));
  const letter = () => LETTERS[random.below(LETTERS.length)];
  return `Q${digit()}${letter()}${letter()}${digit()}${digit()}${letter()}${digit()}${letter()}${digit()}`;
}
