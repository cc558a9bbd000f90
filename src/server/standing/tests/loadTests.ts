import type { TestAllowance, TestedTarget, TestsAnswer } from '../../../contract/tests';
import { boughtBy, outcomeOf } from '../../../core/bids';
import type { Tested, TestOutcome } from '../../../core/bids';
import { indexTree, isInScope } from '../../../core/structure';
import type { TreeIndex } from '../../../core/structure';
import { addDays, DAYS_PER_MONTH } from '../../../core/units';
import { listTestCosts } from '../../../db/queries/bidFeed';
import { listTested } from '../../../db/queries/tests';
import { accountInfo, needAccount } from '../../accounts/accounts';
import { chooseWindow } from '../../accounts/chooseWindow';
import { todayOf } from '../../accounts/today';
import { db } from '../../context/context';
import { loadTree } from '../../field/loadTree';
import { scopeName } from '../scopeName';

/** Tests are looked back on for so long. */
const LOOK_BACK = 180;

/** What tests may cost by scope, what they cost in the last 30 days, and what those of the last half year bought. */
export async function loadTests(accountId: number): Promise<TestsAnswer> {
  const account = await needAccount(accountId);
  const today = todayOf(account);
  const { to: settled } = await chooseWindow(account);
  const [tree, costs, rows] = await Promise.all([
    loadTree(accountId),
    listTestCosts(db(), accountId, addDays(today, -Math.round(DAYS_PER_MONTH))),
    listTested(db(), accountId, addDays(today, -LOOK_BACK), settled),
  ]);
  const index = indexTree(tree);
  const { bids } = accountInfo(account).choices;
  const used = (has: (targetId: number) => boolean) =>
    costs.reduce((sum, { targetId, cost }) => sum + (has(targetId) ? cost : 0), 0);
  const allowances: TestAllowance[] = [
    { scope: null, name: 'the whole account', cap: bids.testCap, used: used(() => true) },
    ...bids.testCaps.map(({ kind, id, cap }) => ({
      scope: { kind, id },
      name: scopeName(index, { kind, id }) ?? 'what has gone',
      cap,
      used: used((targetId) => isInScope(kind, id, index.placeOfTarget(targetId))),
    })),
  ];
  const known = rows.map((row) => ({ row, tested: testedOf(row, index) }));
  const outcomes = known.map(({ tested }) => outcomeOf(tested, bids.provenOrders));
  const of = (outcome: TestOutcome) =>
    boughtBy(known.flatMap(({ tested }, at) => (outcomes[at] === outcome ? [tested] : [])));
  return {
    days: LOOK_BACK,
    allowances,
    all: boughtBy(known.map(({ tested }) => tested)),
    by: { good: of('good'), 'given up': of('given up'), open: of('open') },
    tested: known.map(({ row, tested }, at): TestedTarget => {
      const target = index.targets.get(row.targetId);
      const { campaignId } = index.placeOfTarget(row.targetId);
      const { targetId, since, raises, before, clicks, spend, orders, sales } = row;
      return {
        targetId,
        name: target?.expression ?? `target ${targetId}`,
        place: index.campaigns.get(campaignId)?.name ?? '',
        since,
        raises,
        before,
        now: tested.now,
        clicks,
        spend,
        orders,
        sales,
        outcome: outcomes[at],
      };
    }),
  };
}

function testedOf(
  { targetId, before, clicks, spend, orders, sales }: Awaited<ReturnType<typeof listTested>>[number],
  index: TreeIndex,
): Tested {
  const target = index.targets.get(targetId);
  const place = index.placeOfTarget(targetId);
  const { acos, margin } = index.aimOf(place);
  return {
    before,
    now: target?.bid ?? index.adGroups.get(place.adGroupId)?.defaultBid ?? null,
    isRunning: target?.state === 'enabled',
    clicks,
    spend,
    orders,
    sales,
    margin,
    targetAcos: acos ?? index.tree.accountAcos,
  };
}
