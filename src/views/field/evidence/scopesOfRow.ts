import type { Goal } from '../../../core/goals';
import { lensNamed } from '../../../core/lenses';
import type { LensTable } from '../../../core/lenses';

type Scope = Exclude<Goal['scope'], 'account'>;
const LABELS: Record<Scope, string> = {
  'ad-group': 'the ad group',
  campaign: 'the campaign',
  product: 'the product',
  line: 'the product line',
};

/** What a row is or stands in that can have a target of its own; what it is itself first, then from near to wide. */
export function scopesOfRow(
  table: LensTable,
  row: number,
): { scope: Scope; scopeId: number; label: string }[] {
  const ids: Record<Scope, number> = {
    'ad-group': table.adGroupId[row],
    campaign: table.campaignId[row],
    product: table.productId[row],
    line: table.lineId[row],
  };
  const { entity } = lensNamed(table.lens);
  const own = entity === 'placement' ? 'campaign' : entity;
  return (Object.keys(ids) as Scope[])
    .filter((scope) => ids[scope] > 0)
    .sort((a, b) => Number(b === own) - Number(a === own))
    .map((scope) => ({ scope, scopeId: ids[scope], label: LABELS[scope] }));
}
