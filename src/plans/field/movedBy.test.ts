import { describe, expect, test } from 'vitest';
import { movedBy } from '.';
import { aTree, sumsByTarget } from '../../../tests/make/lenses';
import { buildLens } from '../../core/lenses';
import type { AccountTree } from '../../core/structure';
import { indexTree } from '../../core/structure';

/** Products of two lines, a campaign and a target for each: those of the first line spent a little more, each of them. */
function manyCampaigns(count: number): AccountTree {
  const tree = aTree();
  const [campaign] = tree.campaigns;
  const [adGroup] = tree.adGroups;
  const [product] = tree.products;
  const ids = Array.from({ length: count }, (_, at) => at + 1);
  return {
    ...tree,
    campaigns: ids.map((id) => ({ ...campaign, id, name: `Campaign ${id}` })),
    adGroups: ids.map((id) => ({ ...adGroup, id, campaignId: id, productId: id })),
    targets: ids.map((id) => ({ ...tree.targets[0], id, adGroupId: id })),
    products: ids.map((id) => ({ ...product, id, name: `Product ${id}`, lineId: id % 4 === 0 ? 2 : 1 })),
    lines: [
      { id: 1, name: 'Jars' },
      { id: 2, name: 'Lids' },
    ],
  };
}

function toldOf(tree: AccountTree, moves: (id: number) => number) {
  const index = indexTree(tree);
  const sums = sumsByTarget(
    tree.targets.map(({ id }) => ({ id, now: { spend: 100 + moves(id) }, before: { spend: 100 } })),
  );
  return movedBy(buildLens('campaigns', index, sums), index, sums)('spend');
}

describe('what changed most', () => {
  test('is told by campaign where a few of them make most of it', () => {
    const told = toldOf(manyCampaigns(400), (id) => (id === 7 ? 5000 : 1));
    expect(told).toMatchObject({ level: 'campaign' });
    expect(told.movers[0]).toMatchObject({ id: 7, name: 'Campaign 7', move: 5000e6 });
  });

  test('and by line where each of hundreds moved a little: with all that the line moved', () => {
    const told = toldOf(manyCampaigns(400), (id) => (id % 4 === 0 ? 0 : 3));
    expect(told).toMatchObject({ level: 'line', explained: 1 });
    expect(told.movers).toMatchObject([{ name: 'Jars', move: 900e6 }]);
  });

  test('but stays by campaign where nobody told what they advertise: no product moved, and yet the account did', () => {
    const tree = manyCampaigns(400);
    const adGroups = tree.adGroups.map((one) => ({ ...one, productId: null }));
    const told = toldOf({ ...tree, adGroups }, () => 3);
    expect(told.level).toBe('campaign');
    expect(told.movers.length).toBeGreaterThan(0);
  });
});
