import type { PaceAnswer, PlannedPart, SpendPlan } from '../../contract/money';
import { MowingError } from '../../contract/mowingError';
import { daysOfPart, lifeOfPart, monthOf, monthOfPart } from '../../core/pace';
import { addDays } from '../../core/units';
import type { Query } from '../../db/connection';
import { listScopes } from '../../db/queries/economics';
import {
  deleteSpendPlan,
  listCampaignDays,
  listLives,
  listPartDays,
  listSpendPlans,
  upsertSpendPlan,
} from '../../db/queries/spendPlans';
import { targetTable } from '../../db/queries/targetTable';
import { needAccount } from '../accounts/accounts';
import { db } from '../context/context';
import { recorded } from '../trail';
import type { Caller } from '../trail';

/** Weeks before the month from which weekdays get their weight. */
const WEIGH_DAYS = 56;
const RATE_DAYS = 28;

/** How every part with a plan stands to it, and campaigns with a budget for their life. */
export async function loadPace(accountId: number): Promise<PaceAnswer> {
  const { lastDay: last } = await needAccount(accountId);
  if (last === null) return { lastDay: null, parts: [] };
  const [plans, lives] = await Promise.all([
    listSpendPlans(db(), accountId),
    listLives(db(), accountId, last),
  ]);
  return {
    lastDay: last,
    parts: [...(await partsOf(accountId, plans, last)), ...(await livesOf(accountId, lives, last))],
  };
}

async function partsOf(
  accountId: number,
  plans: readonly (SpendPlan & { name: string })[],
  last: string,
): Promise<PlannedPart[]> {
  if (plans.length === 0) return [];
  const from = addDays(monthOf(last), -WEIGH_DAYS);
  const table = await targetTable(db(), accountId, from, last);
  const byPart = spendByDay(await listPartDays(db(), accountId, table, from, last), placeOf);
  return plans.map(({ span, spend, ...part }) => ({
    ...part,
    ...(span === 'day' ? daysOfPart : monthOfPart)(byPart.get(placeOf(part)) ?? new Map(), last, spend),
  }));
}

async function livesOf(
  accountId: number,
  lives: Awaited<ReturnType<typeof listLives>>,
  last: string,
): Promise<PlannedPart[]> {
  if (lives.length === 0) return [];
  const ids = lives.map(({ campaignId }) => campaignId);
  const rows = await listCampaignDays(db(), accountId, ids, addDays(last, 1 - RATE_DAYS), last);
  const byCampaign = spendByDay(rows, ({ campaignId }) => campaignId);
  return lives.map(({ campaignId, name, ...life }) => ({
    scope: 'campaign',
    scopeId: campaignId,
    name,
    ...lifeOfPart(byCampaign.get(campaignId) ?? new Map(), last, life),
  }));
}

function spendByDay<T extends { day: string; spend: number }, K>(
  rows: readonly T[],
  keyOf: (row: T) => K,
): Map<K, Map<string, number>> {
  const sums = new Map<K, Map<string, number>>();
  for (const row of rows) {
    const days = sums.get(keyOf(row)) ?? new Map<string, number>();
    sums.set(keyOf(row), days.set(row.day, row.spend));
  }
  return sums;
}

type PartPlace = Pick<SpendPlan, 'scope' | 'scopeId'>;
const placeOf = ({ scope, scopeId }: PartPlace) => `${scope} ${scopeId}`;

/** Says what a part may spend each day or month. @throws MowingError 'not-found' for a part that the account does not have */
export async function setSpendPlan(caller: Caller, accountId: number, plan: SpendPlan): Promise<void> {
  await needAccount(accountId);
  if (plan.scope !== 'account') {
    const scopes = await listScopes(db(), accountId);
    if (!scopes.some(({ scope, id }) => scope === plan.scope && id === plan.scopeId))
      throw new MowingError(
        'not-found',
        `The account has no ${plan.scope} ${plan.scopeId}. Nothing was changed.`,
      );
  }
  await recorded(caller, accountId, async (tx, note) => {
    const from = await planAt(tx, accountId, plan);
    await upsertSpendPlan(tx, accountId, plan);
    note({ what: 'plan spend', subject: placeOf(plan), from, to: plan });
  });
}

export async function removeSpendPlan(
  caller: Caller,
  accountId: number,
  plan: Omit<SpendPlan, 'spend'>,
): Promise<void> {
  await needAccount(accountId);
  await recorded(caller, accountId, async (tx, note) => {
    const from = await planAt(tx, accountId, plan);
    await deleteSpendPlan(tx, accountId, plan);
    note({ what: 'remove plan of spend', subject: placeOf(plan), from });
  });
}

async function planAt(tx: Query, accountId: number, { span, ...place }: Omit<SpendPlan, 'spend'>) {
  const plans = await listSpendPlans(tx, accountId);
  return plans.find((one) => placeOf(one) === placeOf(place) && one.span === span);
}
