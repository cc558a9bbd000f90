import type { ReviewData } from '../../contract/review';
import { negativeCheck, rowsOfForm } from '../../core/words';
import type { NegativeCheck, NegativeFinding, WordPart } from '../../core/words';
import type { AccountTree } from '../../core/structure';
import { sumsOfRows, termContext } from '../../core/terms';
import type { TermContext } from '../../core/terms';
import { toTermTable } from '../terms';
import type { TermLine } from './types';

/** What words are taken apart from. */
export interface WordsFrom {
  review: ReviewData;
  /** Lines and products, for their names. */
  tree: Pick<AccountTree, 'lines' | 'products'>;
}

/** An account's terms of the last 90 days, by their words. */
export interface KeptWords {
  from: WordsFrom;
  context: TermContext;
  check: NegativeCheck;
  /** Whether a row's term is negative by now where it ran. */
  isBlocked: (row: number) => boolean;
  /** Word parts at the settings that were asked for last. */
  parts: { key: string; parts: WordPart[] } | null;
  /** What is odd about the negatives that stand: looked at once, when it is first asked for. */
  standing: NegativeFinding[] | null;
}

/** Takes an account's terms apart, for any question about them. */
export function keptWords(from: WordsFrom): KeptWords {
  const { rows, structure, historyDays } = from.review;
  const context = termContext(toTermTable(rows, historyDays), structure);
  const check = negativeCheck(context);
  return { from, context, check, isBlocked: blockedRows(context), parts: null, standing: null };
}

/** Whether a row's term is negative by now in the ad group where it ran; asked for each once. */
function blockedRows({ table, structure, forms }: TermContext): (row: number) => boolean {
  const known = new Int8Array(table.size).fill(-1);
  return (row) => {
    if (known[row] === -1) {
      const adGroup = structure.adGroup(table.adGroupId[row]);
      known[row] = adGroup !== undefined && structure.isNegativeIn(forms[row], adGroup) ? 1 : 0;
    }
    return known[row] === 1;
  };
}

/** The advertised product of a row's ad group; null where it is not known. */
export const productOfRow = ({ table, structure }: TermContext, row: number) =>
  structure.adGroup(table.adGroupId[row])?.productId ?? null;

/** Campaign and ad group in words. */
export function placeText({ structure }: TermContext, campaignId: number, adGroupId: number | null): string {
  const campaign = structure.campaign(campaignId)?.name ?? 'unknown campaign';
  return adGroupId === null ? campaign : `${campaign} › ${structure.adGroup(adGroupId)?.name ?? ''}`;
}

/** A form with its sums over all places and spellings, and the place of the row with most clicks. */
export function lineOf({ context, check }: KeptWords, form: number, rows?: number[]): TermLine {
  const { table } = context;
  const own = rows ?? Array.from(rowsOfForm(check.terms, form));
  const most = own.reduce((best, row) => (table.clicks[row] > table.clicks[best] ? row : best), own[0]);
  // Spellings of one place are rows of their own.
  const others = new Set(own.map((row) => table.adGroupId[row])).size - 1;
  const more = others > 0 ? ` and ${others} more` : '';
  return {
    term: table.term[most],
    place: `${placeText(context, table.campaignId[most], table.adGroupId[most])}${more}`,
    sums: sumsOfRows(table, own),
  };
}
