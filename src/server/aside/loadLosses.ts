import type { LossInfo, LossState } from '../../contract/aside';
import { campaignSubject, idsOfSubject, targetSubject } from '../../contract/aside';
import { DAYS_OF_MONTH, RANK_DAYS, standOver } from '../../core/rank';
import { indexTree } from '../../core/structure';
import type { TreeIndex } from '../../core/structure';
import { addDays, daysIn } from '../../core/units';
import type { Day } from '../../core/units';
import { listLosses, sumTargets } from '../../db/queries/losses';
import { findRankDays, listProductSales } from '../../db/queries/ranks';
import { matchForm } from '../../core/matching';
import { needAccount } from '../accounts/accounts';
import { chooseWindow } from '../accounts/chooseWindow';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { loadTree } from '../field/loadTree';
import { loadRankFeed } from '../rank/rankFeed';
import type { RankFeed } from '../../core/rank';
import { coverLosses, isOverMost, lossOf } from './losses';
import type { CoveredLoss } from './losses';

/** A loss that ends within so many days is told as ending soon. */
const SOON = 7;
/** Ended losses are listed so long. */
const LISTED_DAYS = 180;
/** Days before a loss was accepted that what came of it is held against. */
const BEFORE = 28;

/** All accepted losses of an account, ended ones of the last half year too, with what they cost and what rank and organic sales did. */
export async function loadLosses(accountId: number): Promise<{ losses: LossInfo[] }> {
  const account = await needAccount(accountId);
  const today = todayOf(account);
  const rows = (await listLosses(db(), accountId)).filter(
    ({ endedOn, until }) => (endedOn ?? until) > addDays(today, -LISTED_DAYS),
  );
  if (rows.length === 0) return { losses: [] };
  const index = indexTree(await loadTree(accountId));
  const covered = await coverLosses(accountId, rows, index);
  const { to: settled } = await chooseWindow(account);
  const first = rows.reduce((from, row) => (row.from < from ? row.from : from), today);
  const span = { from: addDays(first, -BEFORE), to: today };
  const told = await findRankDays(db(), accountId);
  const [feed, sales] = await Promise.all([
    told ? loadRankFeed(accountId, { from: span.from, to: told.to }) : null,
    listProductSales(db(), accountId, { from: span.from, to: settled }),
  ]);
  const losses: LossInfo[] = [];
  for (const one of covered) {
    const to = [settled, one.endedOn ?? settled].sort()[0];
    const sums =
      one.from > to ? null : await sumTargets(db(), accountId, one.targets, { from: one.from, to });
    const pair = feed && pairOf(one, feed, index);
    const product = productOf(one, index);
    const organic = (from: Day, until: Day) => {
      const days = daysIn(from, until);
      if (product === null || until < from) return null;
      const at = daysIn(span.from, from) - 1;
      const own = sales.filter((day) => day.productId === product && day.at >= at && day.at < at + days);
      return own.length < days
        ? null
        : (own.reduce((sum, day) => sum + day.sales - day.adSales, 0) * DAYS_OF_MONTH) / days;
    };
    const rankAt = (end: number) =>
      pair === null || !feed
        ? null
        : standOver(
            feed.panel.rank.subarray(pair * feed.panel.days, (pair + 1) * feed.panel.days),
            end - RANK_DAYS,
            end,
          );
    losses.push({
      ...namesOf(one, index, feed),
      subject: one.subject,
      note: one.note,
      from: one.from,
      until: one.until,
      most: one.most,
      endedOn: one.endedOn,
      state: stateOf(one, today),
      cost: sums && lossOf(one.targets, sums, index),
      cost30: one.cost30,
      rankBefore: rankAt(daysIn(span.from, one.from) - 1),
      rankNow: feed && rankAt(feed.panel.days),
      organicBefore: organic(addDays(one.from, -BEFORE), addDays(one.from, -1)),
      organicNow: organic(one.from, to),
    });
  }
  return { losses };
}

function stateOf(one: CoveredLoss, today: Day): LossState {
  if (one.endedOn !== null || one.until <= today) return 'ended';
  if (isOverMost(one)) return 'over';
  return one.until <= addDays(today, SOON) ? 'soon' : 'standing';
}

/** Place of a loss's term among the ranked ones; null where it has no rank. */
function pairOf({ subject }: CoveredLoss, feed: RankFeed, index: TreeIndex): number | null {
  const [id, termId] = idsOfSubject(subject);
  const target = subject === targetSubject(id) ? index.targets.get(id) : undefined;
  const isOf = ({ term }: RankFeed['pairs'][number]) =>
    target
      ? target.kind === 'keyword' &&
        term.productId === index.placeOfTarget(id).productId &&
        matchForm(term.text) === matchForm(target.expression)
      : term.productId === id && term.termId === termId;
  if (subject === campaignSubject(id)) return null;
  const at = feed.pairs.findIndex(isOf);
  return at < 0 ? null : at;
}

function productOf({ subject }: CoveredLoss, index: TreeIndex): number | null {
  const [id] = idsOfSubject(subject);
  if (subject === targetSubject(id)) return index.placeOfTarget(id).productId || null;
  if (subject === campaignSubject(id)) return index.productOfCampaign.get(id) || null;
  return id;
}

function namesOf(
  { subject }: CoveredLoss,
  index: TreeIndex,
  feed: RankFeed | null,
): Pick<LossInfo, 'name' | 'place'> {
  const [id, termId] = idsOfSubject(subject);
  if (subject === targetSubject(id)) {
    const target = index.targets.get(id);
    const { campaignId, adGroupId } = index.placeOfTarget(id);
    return {
      name: target ? `${target.expression}${target.match ? ` (${target.match})` : ''}` : subject,
      place: `${index.campaigns.get(campaignId)?.name ?? ''} › ${index.adGroups.get(adGroupId)?.name ?? ''}`,
    };
  }
  if (subject === campaignSubject(id))
    return { name: index.campaigns.get(id)?.name ?? subject, place: 'the whole campaign' };
  const pair = feed?.pairs.find(({ term }) => term.productId === id && term.termId === termId);
  return { name: pair?.term.text ?? subject, place: index.products.get(id)?.name ?? '' };
}
