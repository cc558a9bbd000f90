import type { ObjectSchema } from 'joi';
import { describe, expect, test } from 'vitest';
import * as asideSchemas from './asideSchemas';
import * as changeSchemas from './changeSchemas';
import * as schemas from './schemas';

const faults = (schema: ObjectSchema, value: unknown) =>
  (schema.validate(value, { abortEarly: false }).error?.details ?? []).map(({ path }) => path.join('.'));

describe('what comes in at an endpoint is checked', () => {
  test.each<[string, ObjectSchema, unknown, string[]]>([
    ['a new account', schemas.newAccount, { name: 'My shop', currency: 'eur', targetAcos: 0.2 }, []],
    ['an account without a target', schemas.newAccount, { name: 'My shop', currency: 'EUR' }, ['targetAcos']],
    [
      'an account without a name',
      schemas.newAccount,
      { name: '  ', currency: 'EUR', targetAcos: 0.2 },
      ['name'],
    ],
    [
      'a currency of two letters',
      schemas.newAccount,
      { name: 'x', currency: 'EU', targetAcos: 0.2 },
      ['currency'],
    ],
    [
      'a target ACOS of nothing',
      schemas.newAccount,
      { name: 'x', currency: 'EUR', targetAcos: 0 },
      ['targetAcos'],
    ],
    ['a change of nothing', schemas.accountChange, {}, ['']],
    ['sums', schemas.sumsQuery, { account: '1', grain: 'term', from: '2026-01-01', to: '2026-01-31' }, []],
    [
      'a day that does not exist',
      schemas.sumsQuery,
      { account: '1', grain: 'term', from: '2026-02-30', to: '2026-03-01' },
      ['from'],
    ],
    ['a window in words', schemas.windowQuery, { account: 1, from: 'last60', to: 'settled' }, []],
    [
      'a window in other words',
      schemas.windowQuery,
      { account: 1, from: 'last0', to: 'now' },
      ['from', 'to'],
    ],
    ['a window with one end', schemas.windowQuery, { account: 1, from: '2026-01-01' }, ['']],
    ['an import of another kind', schemas.importQuery, { account: 1, kind: 'weather' }, ['kind']],
    ['an account that is no number', schemas.accountQuery, { account: '1; drop table' }, ['account']],
    ['an unknown field', schemas.accountQuery, { account: 1, admin: true }, ['admin']],
    [
      'a verdict there is not',
      asideSchemas.asideRequest,
      { account: 1, queue: 'harvest', verdict: 'never', subjects: ['ad-group-term 1 1'] },
      ['verdict'],
    ],
    ['nothing to send', changeSchemas.changeIds, { account: 1, ids: [] }, ['ids']],
    [
      'a negative bid',
      changeSchemas.stagedValues,
      { account: 1, values: [{ id: 1, value: -1 }] },
      ['values.0.value'],
    ],
  ])('%s', (_, schema, value, expected) => expect(faults(schema, value)).toEqual(expected));
});

describe('changes to stage', () => {
  const stage = (change: unknown, rest: object = {}) =>
    faults(changeSchemas.stageRequest, { account: 1, changes: [{ change, reason: 'because', ...rest }] });

  test('of each kind the page makes are taken', () => {
    expect(
      stage({ kind: 'add-keyword', adGroupId: 1, expression: 'jar', match: 'exact', bid: 400_000 }),
    ).toEqual([]);
    expect(stage({ kind: 'archive-negative', negativeId: 7 })).toEqual([]);
    expect(stage({ kind: 'add-item-target', adGroupId: 1, expression: 'QY7K3M92TD', bid: 400_000 })).toEqual(
      [],
    );
    expect(
      stage({ kind: 'add-negative', campaignId: 1, adGroupId: null, match: 'phrase', expression: 'used' }),
    ).toEqual([]);
  });

  test('that only undoing may make are not taken from outside', () => {
    expect(stage({ kind: 'archive-target', targetId: 1 })).not.toEqual([]);
  });

  test('with a fraction of a millionth, a missing match or a stray field are refused', () => {
    expect(
      stage({ kind: 'add-keyword', adGroupId: 1, expression: 'jar', match: 'exact', bid: 0.5 }),
    ).not.toEqual([]);
    expect(stage({ kind: 'add-keyword', adGroupId: 1, expression: 'jar', bid: 400_000 })).not.toEqual([]);
    expect(
      stage({ kind: 'add-negative', campaignId: 1, adGroupId: 1, match: 'exact', expression: 'x', bid: 1 }),
    ).not.toEqual([]);
  });
});

test('a long file name is cut, not refused', () => {
  const { value, error } = schemas.importQuery.validate({ account: 1, kind: 'terms', name: 'x'.repeat(500) });
  expect(error).toBeUndefined();
  expect((value as { name: string }).name).toHaveLength(200);
});
