import { withoutRefused } from '../../core/changes';
import { writeItemCode } from '../../core/matching';
import { listOfReach, spendPerMonth } from '../../core/negatives';
import type { NegativePlace } from '../../core/negatives';
import { sumsOfRow } from '../../core/terms';
import { daysIn, DAYS_PER_MONTH } from '../../core/units';
import type { ChangeFigures, NewChange } from '../../contract/changes';
import type { Proposal, ReviewTable } from './types';

/** Changes of one accepted proposal; a harvest's negative waits for its keyword. Null when a harvest has no home yet. */
export function toChanges(proposal: Proposal, review: ReviewTable, targetAcos: number): NewChange[] | null {
  const { table } = review;
  const { row } = proposal;
  const term = table.term[row];
  const sums = sumsOfRow(table, row);
  const figures: ChangeFigures = {
    step: proposal.step,
    termId: table.termId[row],
    term,
    adGroupId: table.adGroupId[row],
    targetId: table.targetId[row],
    from: review.window.from,
    to: review.window.to,
    clicks: sums.clicks,
    orders: sums.orders,
    spend: sums.spend,
    sales: sums.sales,
    targetAcos,
  };
  const { reason } = proposal;
  if (proposal.step === 'negatives') {
    const saved = -spendPerMonth(sums.spend, review.window);
    const lost = -Math.round((sums.sales / daysIn(review.window.from, review.window.to)) * DAYS_PER_MONTH);
    // What is saved and given up is known of where it ran; the other places only keep it from moving there.
    const listId = listOfReach(proposal.reach);
    const carries = listId === null ? {} : { listId };
    return (proposal.places.get(proposal.reach) ?? []).map((place, at) => ({
      change: negativeAt(place, proposal.match, row, review),
      reason,
      figures,
      carries,
      effect: at === 0 ? { spend: saved, sales: lost } : { spend: 0, sales: 0 },
    }));
  }
  if (proposal.homeId === null) return null;
  const moved: NewChange = {
    change: proposal.isItem
      ? {
          kind: 'add-item-target',
          adGroupId: proposal.homeId,
          expression: writeItemCode(term),
          bid: proposal.bid,
        }
      : {
          kind: 'add-keyword',
          adGroupId: proposal.homeId,
          expression: withoutRefused(term, review.account.limits),
          match: proposal.match,
          bid: proposal.bid,
        },
    reason,
    figures,
    effect: { spend: proposal.gain.spend, sales: proposal.gain.sales },
  };
  if (proposal.block === 'nowhere') return [moved];
  const match = proposal.isItem ? 'item' : 'exact';
  const blocks = (proposal.places.get(proposal.block) ?? []).map((place) => ({
    change: negativeAt(place, match, row, review),
    reason: 'So that only its home bids on the term.',
    figures,
    effect: { spend: 0, sales: 0 },
    after: 0,
  }));
  return [moved, ...blocks];
}

function negativeAt(
  place: NegativePlace,
  match: 'exact' | 'phrase' | 'item',
  row: number,
  { table, account }: ReviewTable,
) {
  const term = table.term[row];
  const expression = match === 'item' ? writeItemCode(term) : withoutRefused(term, account.limits);
  return { kind: 'add-negative' as const, ...place, match, expression };
}

/** One request for many proposals: `after` counts inside the whole request. */
export function joinChanges(lists: NewChange[][]): NewChange[] {
  const all: NewChange[] = [];
  for (const list of lists) {
    const start = all.length;
    for (const one of list) all.push(one.after === undefined ? one : { ...one, after: one.after + start });
  }
  return all;
}
