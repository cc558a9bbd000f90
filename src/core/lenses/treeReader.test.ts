import { expect, test } from 'vitest';
import { aTree, sumsByTarget } from '../../../tests/make/lenses';
import { arrangeRows, readCondition } from '../conditions';
import { indexTree } from '../structure';
import type { AccountTree } from '../structure';
import { buildLens, rowsInScope, treeReader } from '.';

/** Names of the targets that meet a condition, each with its campaign. */
function meets(where: string, over: Partial<AccountTree> = {}): string[] {
  const index = indexTree(aTree(over));
  const table = buildLens('targets', index, sumsByTarget([]));
  const rows = arrangeRows(treeReader(table, index), rowsInScope(table, null), [[readCondition(where)!]], []);
  return Array.from(rows, (row) => `${table.name[row]} (${table.campaignId[row]})`);
}
const tree = aTree();
const campaigns = (over: Partial<AccountTree['campaigns'][number]>) => ({
  campaigns: tree.campaigns.map((one) => (one.id === 1 ? { ...one, ...over } : one)),
});

test('running is what is enabled with all above it, within its campaign’s dates, while money is left', () => {
  expect(meets('running=yes')).toHaveLength(5);
  const stopped = ['near searches (1)', 'rival items (1)'];
  expect(meets('running=no', campaigns({ state: 'paused' }))).toEqual(stopped);
  expect(meets('running=no', campaigns({ endsOn: '2026-11-22' }))).toEqual(stopped);
  expect(meets('running=no', campaigns({ startsOn: '2026-11-24' }))).toEqual(stopped);
  expect(meets('running=no', campaigns({ endsOn: '2026-11-23' }))).toEqual([]);
  expect(meets('running=yes', { funds: 0 })).toEqual([]);
});

test('rows are parted by what they hang below and by how they were chosen', () => {
  expect(meets('product~brine')).toEqual(['near searches (3)']);
  expect(meets('line~ferment')).toHaveLength(5);
  expect(meets('chosen=by hand')).toEqual(['stoneware crock (2)', 'QY7K3M92TD (2)']);
  expect(meets('campaignState=paused', campaigns({ state: 'paused' }))).toHaveLength(2);
  expect(meets('flex=both ways', campaigns({ flex: 'both ways' }))).toHaveLength(2);
});

test('a target that hangs on costs which are not known is missing', () => {
  const goals = [{ scope: 'product' as const, scopeId: 102, kind: 'margin' as const, low: 0.1, high: 0.1 }];
  expect(meets('aim=missing', { goals })).toEqual(['near searches (3)']);
});
