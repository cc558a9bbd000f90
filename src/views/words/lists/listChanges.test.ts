import { describe, expect, test } from 'vitest';
import { aNegative } from '../../../../tests/make/terms';
import type { NegativeListInfo } from '../../../contract/words';
import { liftExcess, pastedTerms, stageMissing } from './listChanges';

const list: NegativeListInfo = {
  id: 5,
  name: 'Never',
  terms: [{ match: 'phrase', expression: 'second hand' }],
  campaignIds: [1, 2],
  missing: [{ campaignId: 2, match: 'phrase', expression: 'second hand' }],
  heldByCampaign: [1, 0],
  heldByTerm: [1],
  excess: [aNegative('toy', { id: 31, campaignId: 2, adGroupId: null })],
};

describe('a pasted text becomes terms of a list', () => {
  const pasted = (text: string, match: 'exact' | 'phrase' = 'exact') => pastedTerms(text, match, list.terms);

  test('one a line, or parted by commas, semicolons and tabs', () => {
    expect(pasted('toy, used;  broken\told\n\n').map(({ expression }) => expression)).toEqual([
      'toy',
      'used',
      'broken',
      'old',
    ]);
  });

  test('each once, and none that the list holds in that match', () => {
    expect(pasted('Toy\ntoys\nTOY').map(({ expression }) => expression)).toEqual(['Toy']);
    expect(pasted('Second-hand', 'phrase')).toEqual([]);
    expect(pasted('Second-hand')).toEqual([{ match: 'exact', expression: 'Second-hand' }]);
  });

  test('item codes as items, in capitals; what holds no word is left out', () => {
    expect(pasted('qy7k3m92td\n—\n  two   words ')).toEqual([
      { match: 'item', expression: 'QY7K3M92TD' },
      { match: 'exact', expression: 'two words' },
    ]);
  });
});

test('what a list lacks is staged for whole campaigns and names the list; what it no longer asks for is lifted', () => {
  expect(stageMissing(list)).toMatchObject([
    {
      change: {
        kind: 'add-negative',
        campaignId: 2,
        adGroupId: null,
        match: 'phrase',
        expression: 'second hand',
      },
      carries: { listId: 5 },
    },
  ]);
  expect(liftExcess(list)).toMatchObject([
    { change: { kind: 'archive-negative', negativeId: 31 }, carries: { listId: 5 } },
  ]);
});
