import { fitsPattern, freeNames, nameBy, partOf } from '../../build';
import { groupBy } from '../../order';
import { formatMoney } from '../../units';
import type { FindingSpec } from '../finding';
import { totalOf } from '../given';

/** Names that are not made by the account's pattern: they are sorted and found otherwise than the rest. */
export const offPattern: FindingSpec = {
  kind: 'off-pattern',
  label: 'Names off the pattern',
  usual:
    'Names by one pattern: campaigns of a product stand together, and a filter by a part of the name finds all of them.',
  money: 'spend',
  find: ({ index, sums, perMonth, naming }) => {
    if (!naming) return [];
    const { pattern, codeOf } = naming;
    const own = new Set(index.tree.products.map(({ itemCode }) => itemCode.toUpperCase()));
    const byCampaign = groupBy(index.tree.targets, ({ id }) => index.placeOfTarget(id).campaignId);
    const living = index.tree.campaigns.filter(({ state }) => state !== 'archived');
    const off = living.filter(({ name, state }) => state !== 'draft' && !fitsPattern(name, pattern));
    const named = off.flatMap((campaign) => {
      const productId = index.productOfCampaign.get(campaign.id) ?? 0;
      const parts = (byCampaign.get(campaign.id) ?? []).flatMap(
        (target) => partOf(target, own.has(target.expression.toUpperCase())) ?? [],
      );
      // Of several products or parts no name says which: it is written by hand.
      const part = new Set(parts).size === 1 ? parts[0] : null;
      const name =
        productId === 0 || part === null
          ? null
          : nameBy(pattern, { code: codeOf(productId), part, purpose: '', source: '', number: '' });
      return [{ campaign, name }];
    });
    const taken = new Set(living.map(({ name }) => name));
    const free = freeNames(
      named.map(({ name }) => name ?? ''),
      taken,
    );
    return named.map(({ campaign: { id, name: from }, name }, at) => {
      const all = totalOf(byCampaign.get(id) ?? [], sums);
      return {
        entity: 'campaign' as const,
        id,
        ids: [id],
        money: all.spend * perMonth,
        words: `“${from}” does not follow “${pattern}”${name === null ? '' : `; by it: “${free[at]}”`}. It spent ${formatMoney(all.spend)}.`,
        mend:
          name === null
            ? []
            : [{ kind: 'set-name' as const, entity: 'campaign' as const, id, from, to: free[at] }],
        otherwise: name === null ? 'Several products or parts: name it by hand in the Field.' : null,
      };
    });
  },
};
