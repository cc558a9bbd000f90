import { describe, expect, test } from 'vitest';
import { aChangeInfo } from '../../../tests/make/changes';
import type { EffectInfo } from '../../contract/effects';
import { howMeasured, movedWords } from './effects/effectWords';
import { stageAgain } from '../shared/tray/stageAgain';

test('refused changes staged again wait for each other as before, and for none that was accepted', () => {
  const refused = [
    aChangeInfo({ id: 12, afterId: 11, reason: 'block it' }),
    aChangeInfo({ id: 11, reason: 'bid on it' }),
    aChangeInfo({ id: 14, afterId: 13, reason: 'its keyword was accepted' }),
  ];
  const again = stageAgain(refused);
  expect(again.map(({ reason, after }) => [reason, after])).toEqual([
    ['bid on it', undefined],
    ['block it', 0],
    ['its keyword was accepted', undefined],
  ]);
});

describe('an effect in words', () => {
  const effect = (over: Partial<EffectInfo>): EffectInfo => ({
    measured: 0,
    waiting: 0,
    days: 0,
    like: '',
    spend: null,
    sales: null,
    acos: null,
    profit: null,
    gained: null,
    expected: null,
    since: { spend: 0, sales: 0 },
    verdict: 'too early',
    readyOn: null,
    ...over,
  });

  test.each<[string, Partial<EffectInfo>, RegExp]>([
    ['when it can be told', { waiting: 3, readyOn: '2026-12-05' }, /first answer comes on 5 Dec/],
    ['that it was changed again', { waiting: 3 }, /Changed again/],
    ['that others were mixed in', {}, /by itself/],
    ['that nothing is known by day', { verdict: 'summed' }, /came summed/],
    ['that nothing was left alone', { verdict: 'nothing to compare with' }, /left alone/],
    [
      'how it was measured',
      { measured: 1200, waiting: 2, days: 14, like: 'few clicks' },
      /^1,200 targets, 14 days before and after; 2 not yet.*\(few clicks\)\.$/,
    ],
  ])('tells %s', (_, over, words) => expect(howMeasured(effect(over))).toMatch(words));

  test.each([
    [-0.412, '−41 %'],
    [0.034, '+3.4 %'],
    [0, '0.0 %'],
    [2.5, '+250 %'],
  ])('a change of %d is %s', (change, words) => expect(movedWords(change)).toBe(words));
});
