import type { NumberKey, RowReader } from '../conditions';
import { normaliseTerm } from '../matching';
import { measure, MEASURES } from '../measures';
import type { Sums } from '../measures';
import { atLeast } from './stand';
import type { RankWorth } from './worth';

/** A product's term in the list of ranks. Money in micros. */
export interface RankRow extends RankWorth {
  productId: number;
  product: string;
  line: string;
  termId: number;
  term: string;
  /** Over the last seven days, and over the seven before the compared days: 0 is beyond the last page, null was not told. */
  rank: number | null;
  rankBefore: number | null;
  weeklySearches: number;
  /** Of all campaigns' ads for the term on the product, over the compared days, and over as many before them; null where these are not all known. */
  sums: Sums;
  before: Sums | null;
  spendAMonth: number;
  isCore: boolean;
  /** Ad group that bids on exactly this term for the product. */
  home: { adGroupId: number; name: string } | null;
  /** Until when a loss is accepted for it. */
  acceptedUntil: string | null;
}

/** Values of the list that only ranks have. */
const RANK_VALUES: Record<string, (row: RankRow, deepest: number) => number | null> = {
  'rank.now': ({ rank }, deepest) => (rank === null ? null : atLeast(rank, deepest)),
  'rank.before': ({ rankBefore }, deepest) => (rankBefore === null ? null : atLeast(rankBefore, deepest)),
  'rank.up': ({ rank, rankBefore }, deepest) =>
    rank === null || rankBefore === null ? null : atLeast(rankBefore, deepest) - atLeast(rank, deepest),
  'rank.change': ({ rank, rankBefore }, deepest) =>
    rank === null || rankBefore === null ? null : atLeast(rank, deepest) / atLeast(rankBefore, deepest) - 1,
  'rank.searches': ({ weeklySearches }) => weeklySearches,
  'rank.spendChange': ({ sums, before }) =>
    before && before.spend > 0 ? sums.spend / before.spend - 1 : null,
  'rank.organic': ({ organic }) => organic,
  'rank.adShare': ({ organic, sums, spendAMonth }) => {
    // Ad sales at the pace of a month, as spend is.
    const ads = sums.spend > 0 ? (sums.sales * spendAMonth) / sums.spend : 0;
    return organic === null || ads + organic <= 0 ? null : ads / (ads + organic);
  },
  'rank.holdCost': ({ spendAMonth }) => spendAMonth,
  'rank.holds': ({ holds }) => holds,
  'rank.holdPays': ({ holds, spendAMonth }) =>
    holds === null || spendAMonth <= 0 ? null : holds / spendAMonth,
  'rank.gainCost': ({ gainCost }) => gainCost,
  'rank.gains': ({ gains }) => gains,
  'rank.gainPays': ({ gains, gainCost }) =>
    gains === null || gainCost === null || gainCost <= 0 ? null : gains / gainCost,
};

/** What a field says of a row; null where it has no such value. */
export function rankValue(key: string, row: RankRow, deepest: number): number | null {
  const own = RANK_VALUES[key];
  if (own) return own(row, deepest);
  const isMove = key.startsWith('d.');
  const known = MEASURES.find((one) => one.key === (isMove ? key.slice(2) : key));
  if (!known) return null;
  const { of } = measure(known.key);
  if (!isMove) return of(row.sums);
  const [now, before] = [of(row.sums), row.before && of(row.before)];
  return now === null || before === null ? null : now - before;
}

/** Reads the list for conditions and sorts. */
export function rankReader(rows: readonly RankRow[], deepest: number): RowReader {
  const texts: Record<string, (row: RankRow) => string> = {
    term: ({ term }) => term,
    product: ({ product }) => product,
    line: ({ line }) => line,
    place: ({ home }) => home?.name ?? '',
  };
  const choices: Record<string, (row: RankRow) => string> = {
    coreTerm: ({ isCore }) => (isCore ? 'yes' : 'no'),
    lossAccepted: ({ acceptedUntil }) => (acceptedUntil === null ? 'no' : 'yes'),
  };
  return {
    size: rows.length,
    number: (key: NumberKey) => (at) => rankValue(key, rows[at], deepest),
    text: (key) => (at) => normaliseTerm(texts[key]?.(rows[at]) ?? ''),
    choice: (key) => (at) => choices[key]?.(rows[at]) ?? '',
  };
}
