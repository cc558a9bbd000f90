import { expect, test } from 'vitest';
import type { CampaignNode } from '../../core/structure';
import { planSettings } from '.';

const campaign = (id: number, name: string, over: Partial<CampaignNode> = {}) => ({
  entity: 'campaign' as const,
  id,
  name,
  state: 'enabled' as const,
  budget: 10e6,
  budgetKind: 'daily' as const,
  pacing: 'even',
  flex: 'fixed',
  similar: 'on',
  startsOn: '2026-01-01',
  endsOn: null,
  top: 0,
  rest: 0,
  pages: 0,
  ...over,
});
const TODAY = '2026-11-23';
const plan = (list: ReturnType<typeof campaign>[], set: Parameters<typeof planSettings>[1]) =>
  planSettings(list, set, TODAY, new Set(list.map(({ name }) => name)));
const kinds = (result: ReturnType<typeof plan>) => result.changes.map(({ change }) => change.kind);

test('only what differs is a change, and each says what stood there', () => {
  const result = plan([campaign(1, 'a', { pacing: 'fast' }), campaign(2, 'b', { endsOn: '2026-12-01' })], {
    pacing: 'fast',
    endsOn: null,
  });
  expect(result.changes.map(({ change }) => change)).toEqual([
    { kind: 'set-day', campaignId: 2, which: 'endsOn', from: '2026-12-01', to: null },
    { kind: 'set-pacing', campaignId: 2, from: 'even', to: 'fast' },
  ]);
});

test('what has begun keeps its first day, and that is told', () => {
  const result = plan([campaign(1, 'a'), campaign(2, 'b', { startsOn: '2026-12-24' })], {
    startsOn: '2026-12-20',
  });
  expect(result.begun).toBe(1);
  expect(result.changes).toMatchObject([{ change: { campaignId: 2, from: '2026-12-24', to: '2026-12-20' } }]);
});

test('names are changed by a part of them; one that another has, or that would be empty, stays', () => {
  const result = plan(
    [campaign(1, 'Crock – exact'), campaign(2, 'Crock – auto'), campaign(3, 'Pot – auto')],
    {
      find: 'Crock',
      replace: 'Pot',
    },
  );
  expect(result.names).toEqual([{ from: 'Crock – exact', to: 'Pot – exact' }]);
  expect(result.notNamed).toEqual(['Crock – auto']);
  expect(plan([campaign(1, 'Crock')], { find: 'Crock' }).notNamed).toEqual(['Crock']);
});

test('what has ended, or is a draft, stays as it is', () => {
  expect(
    kinds(
      plan([campaign(1, 'a', { state: 'archived' }), campaign(2, 'b', { state: 'draft' })], {
        flex: 'both ways',
      }),
    ),
  ).toEqual([]);
});
