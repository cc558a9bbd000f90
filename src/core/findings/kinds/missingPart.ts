import { groupBy } from '../../order';
import type { Target } from '../../structure';
import { formatMoney } from '../../units';
import type { FindingSpec } from '../finding';
import { runs, totalOf } from '../given';
import type { Given } from '../given';

/** Parts that a product's campaigns have, each with what it does. */
const PARTS: readonly [
  name: string,
  is: (target: Target, own: ReadonlySet<string>) => boolean,
  does: string,
  isOffered: (offers: Given['offers']) => boolean,
][] = [
  ['automatic', ({ kind }) => kind === 'auto', 'finds terms by itself', () => true],
  [
    'broad or phrase',
    ({ match }) => match === 'broad' || match === 'phrase',
    'finds terms around known words',
    ({ matches }) => matches.some((match) => match !== 'exact'),
  ],
  ['exact', ({ match }) => match === 'exact', 'bids on what has sold', () => true],
  [
    'items of rivals',
    ({ kind, expression }, own) => kind === 'item' && !own.has(expression),
    'stands beside rivals',
    ({ productTargets }) => productTargets,
  ],
  [
    'own items',
    ({ kind, expression }, own) => kind === 'item' && own.has(expression),
    'keeps rivals off its own pages',
    ({ productTargets }) => productTargets,
  ],
];

/** A product that is advertised lacks a part that others have. */
export const missingPart: FindingSpec = {
  kind: 'missing-part',
  label: 'Parts that are missing',
  usual: 'A product that sells has terms that are found, terms that are known, rivals’ items and its own.',
  money: 'sales',
  find: (given) => {
    const { index, sums, perMonth } = given;
    const own = new Set(index.tree.products.map(({ itemCode }) => itemCode));
    const byProduct = groupBy(
      index.tree.targets.filter((target) => runs(given, target)),
      ({ id }) => index.placeOfTarget(id).productId,
    );
    return [...byProduct].flatMap(([id, targets]) => {
      const all = totalOf(targets, sums);
      if (id === 0 || all.orders === 0) return [];
      const missing = PARTS.filter(
        ([, is, , isOffered]) => isOffered(given.offers) && !targets.some((target) => is(target, own)),
      );
      if (missing.length === 0) return [];
      return [
        {
          entity: 'product' as const,
          id,
          ids: [id],
          money: all.sales * perMonth,
          words: `No ${missing.map(([name, , does]) => `${name} (${does})`).join(', no ')}, while ads sold ${formatMoney(all.sales)}.`,
          mend: [],
          otherwise: 'Make it by a plan.',
        },
      ];
    });
  },
};
