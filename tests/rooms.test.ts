import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from 'vitest';
import { circlesOf } from './cycles';
import type { Import } from './cycles';
import { KINDS } from '../src/core/changes';
import { LENS_NAMES } from '../src/core/lenses';
import { PLACEMENTS } from '../src/core/structure';

const src = path.resolve('src');

/** Which rooms a room may import from, itself aside. */
const MAY_IMPORT: Record<string, string[]> = {
  core: [],
  contract: ['core'],
  db: ['core', 'contract'],
  connect: ['core', 'contract'],
  plans: ['core', 'contract'],
  paper: ['core', 'contract'],
  server: ['core', 'contract', 'plans', 'db', 'connect', 'paper'],
  pages: ['server', 'contract', 'layouts', 'views', 'paper'],
  layouts: ['theme'],
  views: ['core', 'contract', 'plans', 'table', 'charts', 'theme'],
  table: ['core'],
  charts: ['core', 'theme'],
  theme: [],
  market: ['core', 'contract'],
  trial: ['core', 'market'],
  'middleware.ts': ['server'],
  'env.d.ts': ['server'],
};

/** What the market may know of the core: it must not share the mistakes of the engines it is to judge. */
const MARKET_MAY_KNOW = ['units', 'matching', 'changes', 'structure', 'schedules'];

function listFiles(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const full = path.join(folder, name);
    return statSync(full).isDirectory() ? listFiles(full) : [full];
  });
}

function importsOf(file: string): Import[] {
  const text = readFileSync(file, 'utf8');
  const found = [
    ...text.matchAll(/(?:from|import)\s*\(?\s*['"](\.[^'"]*)['"]/g),
    ...text.matchAll(/new URL\(['"](\.[^'"]*)['"]/g),
  ];
  return found.map(([, target]) => ({
    from: path.relative(src, file),
    to: path.relative(src, path.resolve(path.dirname(file), target)),
  }));
}

/** Rooms whose folders have doors. */
const DOORED = ['core', 'plans'];

const files = listFiles(src).filter((file) => /\.(ts|tsx|astro)$/.test(file) && !file.endsWith('.test.ts'));
const imports = files.flatMap(importsOf).filter(({ to }) => !to.startsWith('..'));
const roomOf = (file: string) => file.split(path.sep)[0];
const told = ({ from, to }: Import) => `${from} imports ${to}`;

describe('imports between rooms', () => {
  test('every room is known, and every file was looked at', () => {
    expect(new Set(files.map((file) => roomOf(path.relative(src, file))))).toEqual(
      new Set(Object.keys(MAY_IMPORT)),
    );
    expect(imports.length).toBeGreaterThan(300);
  });

  test('go one way', () => {
    const wrong = imports.filter(
      ({ from, to }) => roomOf(from) !== roomOf(to) && !MAY_IMPORT[roomOf(from)]?.includes(roomOf(to)),
    );
    expect(wrong.map(told)).toEqual([]);
  });

  test('the market knows units, matching, structure and change types of the core, never the engines', () => {
    const wrong = imports.filter(
      ({ from, to }) =>
        roomOf(from) === 'market' &&
        roomOf(to) === 'core' &&
        !MARKET_MAY_KNOW.includes(to.split(path.sep)[1]),
    );
    expect(wrong.map(told)).toEqual([]);
  });

  test('a folder of the core or of the plans is entered by its door', () => {
    const wrong = imports.filter(({ from, to }) => {
      const [room, folder, file] = to.split(path.sep);
      return (
        DOORED.includes(room) &&
        file !== undefined &&
        file !== 'index' &&
        existsSync(path.join(src, room, folder, 'index.ts')) &&
        from.split(path.sep).slice(0, 2).join('/') !== `${room}/${folder}`
      );
    });
    expect(wrong.map(told)).toEqual([]);
  });

  test('another room is entered by the door of what is inside, wherever there is one', () => {
    const wrong = imports.filter(({ from, to }) => {
      const inside = to.split(path.sep).slice(0, -1).join('/');
      const isDoor = path.basename(to) === 'index';
      return roomOf(from) !== roomOf(to) && !isDoor && existsSync(path.join(src, inside, 'index.ts'));
    });
    expect(wrong.map(told)).toEqual([]);
  });

  test('go in no circles, types neither', () => {
    expect(
      circlesOf(
        files.map((file) => path.relative(src, file)),
        imports,
      ),
    ).toEqual([]);
  });
});

describe('the core', () => {
  test('is pure: it imports no package, and asks neither clock nor chance', () => {
    const wrong = files.filter((file) => {
      if (roomOf(path.relative(src, file)) !== 'core') return false;
      const text = readFileSync(file, 'utf8');
      return /from ['"][^.]/.test(text) || /Date\.now|new Date\(\)|Math\.random|performance\.now/.test(text);
    });
    expect(wrong).toEqual([]);
  });
});

describe('a long list', () => {
  test('is never spread into arguments: that overflows the stack, in a worker sooner than in a test', () => {
    const inner = String.raw`(?:[^()[\]{}]|\([^()]*\)|\[[^[\]]*\]|\{[^{}]*\})*?`;
    const spread = new RegExp(
      String.raw`(?:\bMath\.\w+|\.(?:push|unshift|splice|fromCharCode|apply))\(${inner}\.\.\.`,
    );
    expect(['Math.max(...list)', 'all.push(1, ...list)'].every((text) => spread.test(text))).toBe(true);
    expect(['all.push([...list])', 'Math.max(of([...list]))'].some((text) => spread.test(text))).toBe(false);
    expect(
      files.filter((file) => !file.endsWith('.test.tsx') && spread.test(readFileSync(file, 'utf8'))),
    ).toEqual([]);
  });
});

describe('a kind of change', () => {
  test('is compared with nowhere but in its own file', () => {
    const kinds = Object.keys(KINDS).join('|');
    const compared = new RegExp(
      `(?:[=!]==?|case|\\bin \\(|startsWith\\() ?['"](?:${kinds}|add-|set-|archive-)['"]|kind like`,
    );
    const wrong = files.filter(
      (file) =>
        !file.startsWith(path.join(src, 'core/changes/kinds')) && compared.test(readFileSync(file, 'utf8')),
    );
    expect(wrong).toEqual([]);
  });
});

/** Words that name a kind of report, of entity or a part of a page too. */
const ALSO_OTHERS = ['terms', 'placements', 'campaigns', 'ad-groups', 'products', 'items', 'targets', 'auto'];

describe('a literal of a closed list', () => {
  /** Files in which one of some words is compared with, outside where they may be. */
  const compared = (words: readonly string[], ...allowed: string[]) => {
    const pattern = new RegExp(`(?:[=!]==?|case) ?['"](?:${words.join('|')})['"]`);
    return files.filter(
      (file) =>
        !allowed.some((one) => file.startsWith(path.join(src, one))) &&
        pattern.test(readFileSync(file, 'utf8')),
    );
  };

  test('of lenses stands in their specs alone', () => {
    const pattern = /\blens(?:\.name)? ?[=!]==? ?['"]/;
    const wrong = files.filter((file) => pattern.test(readFileSync(file, 'utf8')));
    expect([...wrong, ...compared(LENS_NAMES.filter((name) => !ALSO_OTHERS.includes(name)))]).toEqual([]);
  });

  test('of placements stands in the structure alone', () => {
    expect(compared(PLACEMENTS, 'core/structure')).toEqual([]);
    const listed = files.filter(
      (file) =>
        !file.startsWith(path.join(src, 'core/structure')) &&
        /\['top', 'rest', 'pages'\]|'top' \| 'rest' \| 'pages'/.test(readFileSync(file, 'utf8')),
    );
    expect(listed).toEqual([]);
  });
});

describe('a sentence of the interface', () => {
  test('of three words and more stands in one place: where it is said twice, both take it from there', () => {
    const placesOf = new Map<string, Set<string>>();
    for (const file of files) {
      if (!file.startsWith(path.join(src, 'views')) || file.includes('.test.')) continue;
      const code = readFileSync(file, 'utf8').replace(/\/\*[\s\S]*?\*\/|^\s*\/\/.*$/gm, '');
      // Words in quotes, and the text between tags; what holds the signs of code is none.
      for (const [, quoted, text] of code.matchAll(/'([^'\n]{20,})'|>\s*([A-Z][^<>{}]{19,}?)\s*</g)) {
        const said = (quoted ?? text).replace(/\s+/g, ' ').trim();
        if (said.split(' ').length < 3 || /[(){}=|<>[\]/]|^\W|^[M\d]/.test(said)) continue;
        placesOf.set(said, (placesOf.get(said) ?? new Set()).add(file));
      }
    }
    expect([...placesOf].flatMap(([said, places]) => (places.size > 1 ? [said] : []))).toEqual([]);
    expect(placesOf.size).toBeGreaterThan(200);
  });
});

describe('what the interface is made of', () => {
  const drawn = files.filter((file) => file.endsWith('.tsx') && !file.endsWith('.test.tsx'));
  const found = (pattern: RegExp, within = drawn) =>
    within.flatMap((file) =>
      [...readFileSync(file, 'utf8').matchAll(pattern)].map(([one]) => `${path.relative(src, file)}: ${one}`),
    );

  test('is the component library: no control of the browser’s own but the choice of a file', () => {
    const views = drawn.filter((file) => roomOf(path.relative(src, file)) === 'views');
    const controls = found(/<(?:select|input|textarea|button|table|option)\b[^>]*?(?:type="file")?/g, views);
    expect(controls.filter((one) => !/FilePick\.tsx: <input/.test(one))).toEqual([]);
    expect(found(/type="(?:date|number|checkbox|radio)"/g, views)).toEqual([]);
  });

  test('has its looks in the theme: a style of its own only for geometry that is worked out', () => {
    const styles = found(/\bstyle=\{/g);
    // The bar is 60.
    expect(styles.length, styles.join('\n')).toBeLessThan(40);
  });
});
