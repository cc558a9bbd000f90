/** How a value moves, as the first word of a sentence. */
export const moved = (from: number | null, to: number): string =>
  from === null ? 'Set' : to > from ? 'Raise' : 'Lower';
