import { describe, expect, test } from 'vitest';
import { aChangeInfo } from '../../../../tests/make/changes';
import type { Change } from '../../../core/changes';
import { groupChanges, trayWords } from './groups';

const bid = (to: number): Change => ({ kind: 'set-bid', targetId: 1, from: 400_000, to });
const block: Change = {
  kind: 'add-negative',
  campaignId: 1,
  adGroupId: 1,
  match: 'exact',
  expression: 'used',
};

describe('the tray in groups', () => {
  const list = [
    aChangeInfo({ id: 1, change: bid(300_000), campaign: 'B', effect: { spend: -5, sales: -2 } }),
    aChangeInfo({ id: 2, change: bid(500_000), campaign: 'A', effect: { spend: 40, sales: 90 } }),
    aChangeInfo({ id: 3, change: block, campaign: 'B', effect: { spend: -20, sales: 0 } }),
  ];
  const names = (by: 'campaign' | 'kind') => groupChanges(list, by).map(({ name }) => name);

  test('by campaign: those that move the most money first, with what they come to', () => {
    expect(names('campaign')).toEqual(['A', 'B']);
    expect(groupChanges(list, 'campaign')[1]).toMatchObject({
      changes: [{ id: 1 }, { id: 3 }],
      effect: { spend: -25, sales: -2 },
    });
  });

  test('by kind: bids up and down apart', () => {
    expect(names('kind')).toEqual(['Bids up', 'Negatives', 'Bids down']);
  });

  test('a large one in a sentence: what is done how often, and how few campaigns move the money', () => {
    const many = Array.from({ length: 1500 }, (_, at) =>
      aChangeInfo({
        id: at + 1,
        change: bid(at % 3 === 0 ? 500_000 : 300_000),
        campaign: `C${at % 300}`,
        effect: { spend: at % 300 < 10 ? 90 : -1, sales: 0 },
      }),
    );
    expect(trayWords(groupChanges(many, 'kind'), groupChanges(many, 'campaign'))).toBe(
      'Bids down 1,000, bids up 500, in 300 campaigns; the first 10 of them move 76 % of the money.',
    );
    expect(trayWords(groupChanges(list, 'kind'), groupChanges(list, 'campaign'))).toMatch(
      /, in 2 campaigns\.$/,
    );
  });

  test('without any money claimed: the most changes first, then by name', () => {
    const plain = [
      ...list,
      aChangeInfo({ id: 4, change: block, campaign: 'C' }),
      aChangeInfo({ id: 5, change: block, campaign: 'C' }),
    ].map((one) => ({ ...one, effect: { spend: 0, sales: 0 } }));
    expect(groupChanges(plain, 'campaign').map(({ name }) => name)).toEqual(['B', 'C', 'A']);
  });
});
