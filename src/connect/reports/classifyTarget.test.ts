import { describe, expect, test } from 'vitest';
import { classifyTarget } from '.';

describe('what a report says of a target', () => {
  test.each([
    ['crock', 'Exact', { kind: 'keyword', match: 'exact', expression: 'crock' }],
    ['stone  crock', 'PHRASE', { kind: 'keyword', match: 'phrase', expression: 'stone crock' }],
    ['crock', '', { kind: 'keyword', match: 'broad', expression: 'crock' }],
    ['near searches', '-', { kind: 'auto', match: null, expression: 'near searches' }],
    ['*', '', { kind: 'auto', match: null, expression: '*' }],
    ['', 'auto', { kind: 'auto', match: null, expression: 'auto' }],
    ['qy7k3m92td', '-', { kind: 'item', match: null, expression: 'QY7K3M92TD' }],
    ['item="QY7K3M92TD"', '-', { kind: 'item', match: null, expression: 'QY7K3M92TD' }],
    ['QY7K3M92TD', 'exact', { kind: 'keyword', match: 'exact', expression: 'QY7K3M92TD' }],
    ['category="Jars"', '-', { kind: 'category', match: null, expression: 'category="Jars"' }],
    ['Jars', 'category', { kind: 'category', match: null, expression: 'Jars' }],
    ['', '', { kind: 'unknown', match: null, expression: '' }],
    ['-', '-', { kind: 'unknown', match: null, expression: '' }],
  ])('"%s" with match type "%s"', (target, match, expected) =>
    expect(classifyTarget(target, match)).toEqual(expected),
  );
});
