import { rowsOfForm } from '../../../core/words';
import type { NegativeCheck } from '../../../core/words';
import { sumsOfRows } from '../../../core/terms';
import type { TermContext } from '../../../core/terms';
import type { TermLine } from './types';

/** An account's terms of the last 90 days, by their words. */
export interface KeptWords {
  loadId: number;
  context: TermContext;
  check: NegativeCheck;
  /** Whether a row's term is negative by now where it ran. */
  isBlocked: (row: number) => boolean;
}

/** The advertised product of a row's ad group; null where it is not known. */
export const productOfRow = ({ table, structure }: TermContext, row: number) =>
  structure.adGroup(table.adGroupId[row])?.productId ?? null;

/** Campaign and ad group in words. */
export function placeText({ structure }: TermContext, campaignId: number, adGroupId: number | null): string {
  const campaign = structure.campaign(campaignId)?.name ?? 'unknown campaign';
  return adGroupId === null ? campaign : `${campaign} › ${structure.adGroup(adGroupId)?.name ?? ''}`;
}

/** A form with its sums over all places, and the place where it has most clicks. */
export function lineOf({ context, check }: KeptWords, form: number, rows?: number[]): TermLine {
  const { table } = context;
  const own = rows ?? Array.from(rowsOfForm(check.terms, form));
  const most = own.reduce((best, row) => (table.clicks[row] > table.clicks[best] ? row : best), own[0]);
  const more = own.length > 1 ? ` and ${own.length - 1} more` : '';
  return {
    term: table.term[most],
    place: `${placeText(context, table.campaignId[most], table.adGroupId[most])}${more}`,
    sums: sumsOfRows(table, own),
  };
}
