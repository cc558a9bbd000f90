import type { RuleScope, RuleSwath } from '../../core/rules';
import type { TreeIndex } from '../../core/structure';

/** What a scope is called; null where it is not there. */
export function scopeName(
  { campaigns, adGroups, products, lines }: TreeIndex,
  { kind, id }: RuleScope,
  swath: RuleSwath | null = null,
): string | null {
  switch (kind) {
    case 'account':
      return 'the account';
    case 'line':
      return lines.get(id) ?? null;
    case 'product':
      return products.get(id)?.name ?? null;
    case 'campaign':
      return campaigns.get(id)?.name ?? null;
    case 'swath':
      return swath && `the swath “${swath.name}”`;
    case 'ad-group': {
      const adGroup = adGroups.get(id);
      return adGroup ? `${campaigns.get(adGroup.campaignId)?.name} › ${adGroup.name}` : null;
    }
  }
}
