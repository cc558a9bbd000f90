import { blockedForms, termWords, wordParts } from '../../src/core/words';
import type { Blocker } from '../../src/core/words';
import { USUAL_LIMITS } from '../../src/core/changes';
import { proposeHarvests } from '../../src/core/harvest';
import { proposeNegatives } from '../../src/core/negatives';
import { termContext } from '../../src/core/terms';
import type { TermTable } from '../../src/core/terms';
import { median, say } from './timed';

const SIZES = [100_000, 500_000];
const ROUNDS = 3;
const WORDS = 4000;
const NEGATIVES = 1000;

/** Terms of two to five words out of four thousand, common ones more often; the same each time. */
function someTerms(size: number): string[] {
  let state = 1;
  const next = (below: number) => {
    state = (Math.imul(state, 1_103_515_245) + 12_345) >>> 0;
    return Math.floor(((state >>> 8) / 2 ** 24) ** 2 * below);
  };
  return Array.from({ length: size }, () =>
    Array.from({ length: 2 + next(4) }, () => `w${next(WORDS).toString(36)}`).join(' '),
  );
}

/** Every term ran in one of these. */
const AD_GROUPS = Array.from({ length: 900 }, (_, id) => ({
  id,
  campaignId: id % 300,
  name: 'auto',
  state: 'enabled' as const,
  productId: null,
}));
const SETTINGS = {
  basis: 'chance' as const,
  minOrders: 2,
  maxAcos: 0.24,
  surety: 0.7,
  targetAcos: 0.24,
  days: 30,
  routes: [],
  clicksMultiple: 2,
  chance: 0.2,
  leastSpend: 1_000_000,
  bySource: {},
};

function aTable(terms: string[]): TermTable {
  const size = terms.length;
  const ids = (of: (row: number) => number) => Int32Array.from({ length: size }, (_, row) => of(row));
  const figures = (of: (row: number) => number) => Float64Array.from({ length: size }, (_, row) => of(row));
  return {
    size,
    term: terms,
    termId: ids((row) => row),
    adGroupId: ids((row) => row % 900),
    campaignId: ids((row) => row % 300),
    targetId: ids(() => 1),
    targetCount: ids(() => 1),
    days: ids((row) => 1 + (row % 7)),
    firstDay: ids(() => 20_000),
    impressions: figures(() => 50),
    clicks: figures((row) => 1 + (row % 7)),
    spend: figures((row) => (1 + (row % 7)) * 400_000),
    orders: figures((row) => (row % 23 === 0 ? 1 : 0)),
    units: figures(() => 0),
    sales: figures((row) => (row % 23 === 0 ? 30_000_000 : 0)),
  };
}

function seconds(work: () => unknown): number {
  const start = performance.now();
  work();
  return (performance.now() - start) / 1000;
}

/** Negatives held against terms, and word parts, beside one pass over the words of all terms. */
export function benchWords(): void {
  const times = SIZES.map((size) => {
    const texts = someTerms(size);
    const table = aTable(texts);
    const terms = termWords(texts, texts);
    const blockers: Blocker[] = texts.slice(0, NEGATIVES).map((text, at) => ({
      match: at % 2 === 0 ? 'phrase' : 'exact',
      expression: at % 2 === 0 ? text.split(' ').slice(0, 2).join(' ') : text,
    }));
    const measured = Array.from({ length: ROUNDS }, () => ({
      pass: seconds(() => {
        let sum = 0;
        for (let form = 0; form < terms.forms.length; form += 1)
          for (let at = terms.wordStart[form]; at < terms.wordStart[form + 1]; at += 1)
            sum += terms.words[at];
        return sum;
      }),
      index: seconds(() => termWords(texts, texts)),
      check: seconds(() => blockedForms(terms, blockers)),
      parts: seconds(() => wordParts(terms, table, () => true, { targetAcos: 0.24, minClicks: 20 })),
    }));
    const structure = { campaigns: [], adGroups: AD_GROUPS, targets: [], negatives: [] };
    let context = termContext(table, structure);
    const load = seconds(() => (context = termContext(table, structure)));
    const propose = () => {
      proposeHarvests(context, SETTINGS, USUAL_LIMITS);
      proposeNegatives(context, SETTINGS, USUAL_LIMITS);
    };
    const [first, again] = [seconds(propose), seconds(propose)];
    const of = (key: keyof (typeof measured)[number]) => median(measured.map((one) => one[key]));
    const [pass, index, check, parts] = [of('pass'), of('index'), of('check'), of('parts')];
    const name = size.toLocaleString('en-GB');
    say(`words of ${name} terms, put in order once  ${index.toFixed(2)} s`);
    say(`1,000 negatives against ${name} terms      ${check.toFixed(3)} s   (bar: under 1 s for 500,000)`);
    say(`negatives / a pass over the words          ${(check / pass).toFixed(1)}`);
    say(
      `word parts of ${name} terms                ${parts.toFixed(2)} s, ${(parts / pass).toFixed(0)} passes`,
    );
    say(
      `harvests and negatives of ${name} terms    ${first.toFixed(2)} s, at other thresholds ${again.toFixed(2)} s; the window prepared once ${load.toFixed(2)} s`,
    );
    return { check, parts, first };
  });
  say(
    `five times the terms: negatives ${(times[1].check / times[0].check).toFixed(1)} times, word parts ${(times[1].parts / times[0].parts).toFixed(1)}, proposals ${(times[1].first / times[0].first).toFixed(1)} times the time   (bar: linear, 5)`,
  );
}
