import { campaignSubject, idsOfSubject, productTermSubject, targetSubject } from '../../contract/aside';
import { matchForm } from '../../core/matching';
import { indexTree } from '../../core/structure';
import type { TreeIndex } from '../../core/structure';
import { addDays } from '../../core/units';
import type { Day } from '../../core/units';
import { listLosses, sumTargets } from '../../db/queries/losses';
import type { LossRow } from '../../db/queries/losses';
import { readTermTexts } from '../../db/queries/ranks';
import { needAccount } from '../accounts/accounts';
import { chooseWindow } from '../accounts/chooseWindow';
import { todayOf } from '../accounts/today';
import { db } from '../context/context';
import { keptRead } from '../context/keptReads';
import { loadTree } from '../field/loadTree';
import { hashOf, stampOf } from '../threads/stampOf';

/** Days over which the most that a loss may be is held against it. */
const MOST_OVER_DAYS = 30;

/** A loss with the targets whose bids it is about, and what they lost of late. */
export interface CoveredLoss extends LossRow {
  targets: number[];
  /** Spend − target ACOS × sales over the last 30 settled days since it was accepted, micros; null: no such days, or no target to hold it against. */
  cost30: number | null;
}

/** Whether a loss still holds on a day: neither ended, nor over, nor larger than what was accepted. */
export const holdsOn = ({ until, endedOn, most, cost30 }: CoveredLoss, today: Day): boolean =>
  endedOn === null && until > today && !isOverMost({ most, cost30 });

/** Whether it lost more than was accepted. */
export const isOverMost = ({ most, cost30 }: Pick<CoveredLoss, 'most' | 'cost30'>): boolean =>
  most !== null && cost30 !== null && cost30 > most;

/** Accepted losses that hold today. */
export async function standingLosses(accountId: number): Promise<CoveredLoss[]> {
  const account = await needAccount(accountId);
  const today = todayOf(account);
  const rows = (await listLosses(db(), accountId)).filter(
    ({ endedOn, until }) => endedOn === null && until > today,
  );
  if (rows.length === 0) return [];
  // What is of single targets, whatever it comes to, needs no looking up.
  if (rows.every(({ subject, most }) => most === null && subject.startsWith('target ')))
    return rows.map((row) => ({ ...row, targets: idsOfSubject(row.subject), cost30: null }));
  // Every page of the round asks this: the account is gone through once in each state of it.
  const stamp = `${await stampOf(account)} ${hashOf(rows)}`;
  const covered = await keptRead(`losses ${accountId}`, stamp, async () =>
    coverLosses(accountId, rows, indexTree(await loadTree(accountId))),
  );
  return covered.filter((one) => holdsOn(one, today));
}

/** Finds the targets of losses, and what these lost of late. */
export async function coverLosses(
  accountId: number,
  rows: readonly LossRow[],
  index: TreeIndex,
): Promise<CoveredLoss[]> {
  const covered = await targetsOf(accountId, rows, index);
  const { to } = await chooseWindow(await needAccount(accountId));
  const from = addDays(to, 1 - MOST_OVER_DAYS);
  const sums = await sumTargets(db(), accountId, [...new Set(covered.flat())], { from, to });
  return rows.map((row, at) => ({
    ...row,
    targets: covered[at],
    cost30: row.from > to ? null : lossOf(covered[at], sums, index),
  }));
}

/** Spend − target ACOS × sales of some targets, micros; null where no target ACOS is known for one that spent. */
export function lossOf(
  targets: readonly number[],
  sums: readonly { id: number; spend: number; sales: number }[],
  index: TreeIndex,
): number | null {
  const own = new Set(targets);
  let loss = 0;
  for (const { id, spend, sales } of sums) {
    if (!own.has(id)) continue;
    const { acos } = index.aimOf(index.placeOfTarget(id));
    if (acos === null) return null;
    loss += spend - acos * sales;
  }
  return Math.round(loss);
}

async function targetsOf(
  accountId: number,
  rows: readonly LossRow[],
  { tree, adGroups }: TreeIndex,
): Promise<number[][]> {
  const ofTerms = rows.flatMap(({ subject }) => {
    const [productId, termId] = idsOfSubject(subject);
    return subject === productTermSubject(productId, termId) ? [{ subject, productId, termId }] : [];
  });
  const { id: ids, text } = await readTermTexts(
    db(),
    accountId,
    ofTerms.map(({ termId }) => termId),
  );
  const forms = new Map(text.map((one, at) => [ids[at], matchForm(one)]));
  const products = new Set(ofTerms.map(({ productId }) => productId));
  const bySubject = new Map<string, number[]>(rows.map(({ subject }) => [subject, []]));
  const terms = new Map(
    ofTerms.map(({ subject, productId, termId }) => [`${productId} ${forms.get(termId)}`, subject]),
  );
  for (const { id, adGroupId, kind, expression } of tree.targets) {
    const group = adGroups.get(adGroupId);
    if (!group) continue;
    bySubject.get(targetSubject(id))?.push(id);
    bySubject.get(campaignSubject(group.campaignId))?.push(id);
    if (kind !== 'keyword' || group.productId === null || !products.has(group.productId)) continue;
    const subject = terms.get(`${group.productId} ${matchForm(expression)}`);
    if (subject !== undefined) bySubject.get(subject)?.push(id);
  }
  return rows.map(({ subject }) => bySubject.get(subject)!);
}
