/** Colours of one theme. Meanings are the same in both: under the line, over the line, too early to say. */
export interface Tokens {
  ground: string;
  raised: string;
  ink: string;
  faint: string;
  hairline: string;
  accent: string;
  onAccent: string;
  under: string;
  over: string;
  thin: string;
  focus: string;
  selected: string;
}

/** Paper and meadow by day. */
export const LIGHT: Tokens = {
  ground: '#faf8f2',
  raised: '#fffefa',
  ink: '#1a2a20',
  faint: '#5a665d',
  hairline: '#d8d5c8',
  accent: '#3c5a28',
  onAccent: '#ffffff',
  under: '#1b6a73',
  over: '#9c4826',
  thin: '#7c7f76',
  focus: '#e9eedd',
  selected: '#e0e9e4',
};

/** The same meadow at dusk. */
export const DUSK: Tokens = {
  ground: '#161b18',
  raised: '#1d2420',
  ink: '#e5e7df',
  faint: '#a3ada5',
  hairline: '#353e38',
  accent: '#a5c383',
  onAccent: '#14200d',
  under: '#6bbcc4',
  over: '#e0946c',
  thin: '#8f968e',
  focus: '#28322a',
  selected: '#22343a',
};

/** The tokens as CSS variables (--ground, --ink …), for the page's head: colours stand before any script runs. */
export function tokenStyles(): string {
  const list = (tokens: Tokens) =>
    Object.entries(tokens)
      .map(([name, value]) => `--${name}:${value}`)
      .join(';');
  return `:root,[data-theme="light"]{color-scheme:light;${list(LIGHT)}}[data-theme="dark"]{color-scheme:dark;${list(DUSK)}}`;
}
