import { describe, expect, test } from 'vitest';
import { aTree, aTreeTarget } from '../../../tests/make/lenses';
import { aPlacementRow } from '../../../tests/make/round';
import type { NewChange } from '../../contract/changes';
import { settingsOf, USUAL_CHOICES } from '../../core/bids';
import { USUAL_LIMITS } from '../../core/changes';
import { basesFor, monthUnder } from '../../core/placements';
import { indexTree } from '../../core/structure';
import type { AccountTree } from '../../core/structure';
import { pendingPlacements, placementAct, placementChanges, placementStake, stagedBids } from '.';
import type { PlacementChangesAsked, PlacementRow } from '.';

const settings = settingsOf(USUAL_CHOICES, USUAL_LIMITS);

function changesFor(
  over: Partial<PlacementChangesAsked> = {},
  { row = aPlacementRow(), tree = {} }: { row?: PlacementRow; tree?: Partial<AccountTree> } = {},
): NewChange[] {
  const plan = { rows: [row], account: [], unlike: [] };
  const asked = { settings, rows: [0], edits: [], staged: [], ...over };
  return placementChanges(plan, indexTree(aTree(tree)), asked)[0];
}
const bidsOf = (changes: NewChange[]) =>
  changes.flatMap(({ change }) =>
    change.kind === 'set-bid' ? [{ id: change.targetId, from: change.from, to: change.to }] : [],
  );

describe('the placements of a campaign are accepted', () => {
  test('as its modifier first, then the base bids of what runs in it, each behind the modifier', () => {
    const bases = basesFor(aPlacementRow().placements, [0.8, 0, 0.1]);
    expect(bases).toBeLessThan(1);
    const [first, ...rest] = changesFor();
    expect(first.change).toEqual({
      kind: 'set-modifier',
      campaignId: 2,
      placement: 'top',
      from: 0.5,
      to: 0.8,
    });
    expect(first.after).toBeUndefined();
    const step = settings.limits.bidStep;
    const moved = Math.round((500_000 * bases) / step) * step;
    expect(bidsOf(rest)).toEqual([
      { id: 1003, from: 500_000, to: moved },
      { id: 1004, from: 500_000, to: moved },
    ]);
    expect(rest.map(({ after }) => after)).toEqual([0, 0]);
  });

  test('with what all of it does expected of the first change alone', () => {
    const [first, ...rest] = changesFor();
    const { now, placements } = aPlacementRow();
    const to = [0.8, 0, 0.1];
    const after = monthUnder(now, placements, to, basesFor(placements, to));
    expect(first.effect).toEqual({
      spend: Math.round(after.spend - now.spend),
      sales: Math.round(after.sales - now.sales),
    });
    expect(first.effect.sales).toBeGreaterThan(0);
    expect(rest.every(({ effect }) => effect.spend === 0 && effect.sales === 0)).toBe(true);
  });

  test('so that a target which bids its ad group’s default moves from that', () => {
    const targets = [aTreeTarget({ id: 1003, adGroupId: 12, bid: null })];
    expect(bidsOf(changesFor({}, { tree: { targets } }))).toMatchObject([{ id: 1003, from: 300_000 }]);
  });

  test('and leave alone what does not run: a paused target, one in a paused ad group', () => {
    const { adGroups } = aTree();
    const targets = [
      aTreeTarget({ id: 1003, adGroupId: 12, state: 'paused' }),
      aTreeTarget({ id: 1004, adGroupId: 12 }),
      aTreeTarget({ id: 1006, adGroupId: 14 }),
    ];
    const paused = { ...adGroups[1], id: 14, state: 'paused' as const };
    const tree = { targets, adGroups: [...adGroups, paused] };
    expect(bidsOf(changesFor({}, { tree })).map(({ id }) => id)).toEqual([1004]);
  });

  test('with a bid that is in the tray moving from there, and keeping what it was decided for', () => {
    const staged = {
      targetId: 1003,
      to: 800_000,
      reason: 'It sells below its target.',
      figures: { step: 'grow', clicks: 70 },
      effect: { spend: 5_000_000, sales: 21_000_000 },
    };
    const bid = changesFor({ staged: [staged] }).find(
      ({ change }) => change.kind === 'set-bid' && change.targetId === 1003,
    )!;
    const bases = basesFor(aPlacementRow().placements, [0.8, 0, 0.1]);
    const step = settings.limits.bidStep;
    expect(bid.change).toMatchObject({ from: 500_000, to: Math.round((800_000 * bases) / step) * step });
    expect(bid).toMatchObject({ figures: staged.figures, effect: staged.effect });
    expect(bid.reason.startsWith('It sells below its target. Base bids down by')).toBe(true);
  });

  test('within the market’s limits: a bid at its floor stays', () => {
    const { minBid } = settings.limits;
    const targets = [aTreeTarget({ id: 1003, adGroupId: 12, bid: minBid })];
    expect(bidsOf(changesFor({}, { tree: { targets } }))).toEqual([]);
  });

  test('by hand: other modifiers than proposed, said so; base bids stay where that is wanted', () => {
    const edit = { to: [0.6, null, 0], keepsBases: true };
    const changes = changesFor({ edits: [[2, edit]] });
    expect(changes.map(({ change }) => change)).toEqual([
      { kind: 'set-modifier', campaignId: 2, placement: 'top', from: 0.5, to: 0.6 },
      { kind: 'set-modifier', campaignId: 2, placement: 'pages', from: 0.1, to: 0 },
    ]);
    expect(changes.every(({ reason }) => reason.startsWith('Edited by hand. '))).toBe(true);
  });

  test('as nothing at all where the hand puts every modifier back to where it stands', () => {
    const edit = { to: [0.5, 0, 0.1], keepsBases: false };
    expect(changesFor({ edits: [[2, edit]] })).toEqual([]);
    const act = placementAct(aPlacementRow(), edit);
    expect(act.bases).toBe(1);
    expect(act.after).toEqual(aPlacementRow().now);
  });
});

describe('campaigns of the step', () => {
  test('are ordered by the sales that are won, and one that is left has none to win', () => {
    expect(placementStake(aPlacementRow())).toBe(30_000_000);
    expect(placementStake(aPlacementRow({ left: 'held' }))).toBe(0);
    expect(placementStake(aPlacementRow({ after: { clicks: 1, spend: 1, sales: 1 } }))).toBe(0);
  });

  test('are done with once a modifier of theirs is in the tray, however many are', () => {
    const top = { kind: 'set-modifier', campaignId: 2, placement: 'top', from: 0.5, to: 0.8 } as const;
    const bid = { kind: 'set-bid', targetId: 1003, from: 500_000, to: 450_000 } as const;
    const pending = [top, { ...top, placement: 'pages' as const, from: 0.1, to: 0 }, bid];
    expect(pendingPlacements(pending.map((change) => ({ change })))).toEqual([2]);
    const told = { reason: 'why', figures: { step: 'over' }, effect: { spend: -1, sales: 0 } };
    expect(stagedBids(pending.map((change) => ({ change, ...told })))).toEqual([
      { targetId: 1003, to: 450_000, ...told },
    ]);
  });
});
