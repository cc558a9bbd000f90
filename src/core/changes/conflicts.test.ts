import { describe, expect, test } from 'vitest';
import { findConflicts, isChangedSince } from '.';
import type { Change, StagedChange } from '.';

let next = 0;
const staged = (change: Change, over: Partial<StagedChange> = {}): StagedChange => ({
  id: (next += 1),
  change,
  campaignId: 1,
  adGroupId: 10,
  present: 'from' in change ? change.from : null,
  runs: true,
  ...over,
});
const bid = (targetId: number, from = 400_000, to = 350_000): Change => ({
  kind: 'set-bid',
  targetId,
  from,
  to,
});
const pause = (entity: 'target' | 'ad-group' | 'campaign', id: number): Change => ({
  kind: 'set-state',
  entity,
  id,
  from: 'enabled',
  to: 'paused',
});
const block = (expression: string, match: 'exact' | 'phrase', adGroupId: number | null): Change => ({
  kind: 'add-negative',
  campaignId: 1,
  adGroupId,
  match,
  expression,
});
const add = (expression: string): Change => ({
  kind: 'add-keyword',
  adGroupId: 10,
  expression,
  match: 'exact',
  bid: 400_000,
});

describe('changes that do not go together', () => {
  test('are not seen among changes of different things', () => {
    expect(
      findConflicts([staged(bid(1)), staged(bid(2)), staged(pause('target', 3)), staged(add('jar'))]),
    ).toEqual([]);
  });

  test('a target paused and given a bid is offered both ways', () => {
    const [low, stop] = [staged(bid(1)), staged(pause('target', 1))];
    const [conflict] = findConflicts([low, stop]);
    expect(conflict).toMatchObject({ kind: 'pauses-what-is-set', ids: [stop.id, low.id] });
    expect(conflict.ways.map((way) => way.ids)).toEqual([[low.id], [stop.id]]);
  });

  test('a target that is ended needs nothing else', () => {
    const [end, low] = [staged({ kind: 'archive-target', targetId: 1 }), staged(bid(1))];
    expect(findConflicts([end, low])).toMatchObject([{ kind: 'ends-what-is-set' }]);
  });

  test('bids inside a campaign that is paused would do nothing', () => {
    const [stop, inside, elsewhere] = [
      staged(pause('campaign', 1)),
      staged(bid(1)),
      staged(bid(2), { campaignId: 2 }),
    ];
    expect(findConflicts([stop, inside, elsewhere])).toMatchObject([{ ids: [stop.id, inside.id] }]);
  });

  test.each<[string, Change, number]>([
    ['the same words in the plural', block('stone jars', 'exact', 10), 1],
    ['a phrase inside it, for the whole campaign', block('stone', 'phrase', null), 1],
    ['another ad group', block('stone jar', 'exact', 11), 0],
    ['other words', block('glass', 'phrase', 10), 0],
  ])('a keyword that is added and blocked: %s', (_, negative, count) => {
    const list = [staged(add('stone jar')), staged(negative)];
    expect(findConflicts(list)).toHaveLength(count);
  });
});

describe('a change that does not go with what stands now', () => {
  test('was decided at another value: go from the present one, or take it out', () => {
    const [conflict] = findConflicts([staged(bid(1), { present: 500_000 })]);
    expect(conflict.kind).toBe('moved-on');
    expect(conflict.sentence).toContain('0.40');
    expect(conflict.sentence).toContain('0.50 stands there now');
    expect(conflict.ways.map(({ does }) => does)).toEqual(['from-present', 'take-out']);
  });

  test.each<[string, StagedChange, string]>([
    ['stands already', staged(bid(1), { present: 350_000 }), 'stands-already'],
    ['does not run', staged(bid(1), { runs: false }), 'not-running'],
    ['is paused already', staged(pause('target', 1), { present: 'paused' }), 'stands-already'],
    ['has ended', staged({ kind: 'archive-target', targetId: 1 }, { present: 'archived' }), 'stands-already'],
  ])('%s', (_, one, kind) => expect(findConflicts([one])).toMatchObject([{ kind }]));
});

test.each<[string, Change, number | string | null, boolean]>([
  ['a bid that still stands', bid(1), 350_000, false],
  ['a bid that was set again', bid(1), 360_000, true],
  ['a target that was resumed', pause('target', 1), 'enabled', true],
  ['a keyword that was made and ended since', add('jar'), 'archived', true],
])('changed since: %s', (_, change, present, expected) =>
  expect(isChangedSince(change, present)).toBe(expected),
);
