import type { TreeIndex } from '../structure';
import type { LensTable } from './lensTable';

/** What the field can be narrowed to, from wide to narrow. */
export const SCOPE_KINDS = ['line', 'product', 'campaign', 'ad-group', 'target'] as const;
export type ScopeKind = (typeof SCOPE_KINDS)[number];

/** Everything below one thing. */
export interface LensScope {
  kind: ScopeKind;
  id: number;
}

/** Writes a scope for a link: "campaign:12". */
export const writeScope = ({ kind, id }: LensScope): string => `${kind}:${id}`;

/** Reads a scope of a link; null when it cannot be understood. */
export function readScope(text: string | null): LensScope | null {
  const parts = /^(line|product|campaign|ad-group|target):([1-9]\d{0,8})$/.exec(text ?? '');
  return parts && { kind: parts[1] as ScopeKind, id: Number(parts[2]) };
}

const COLUMN = {
  line: 'lineId',
  product: 'productId',
  campaign: 'campaignId',
  'ad-group': 'adGroupId',
  target: 'targetId',
} as const;

/** The rows of a table that lie below a scope (all when null), in the order given or else in their own. */
export function rowsInScope(table: LensTable, scope: LensScope | null, order?: Int32Array): Int32Array {
  const all = order ?? Int32Array.from({ length: table.size }, (_, row) => row);
  if (scope === null) return all;
  const column = table[COLUMN[scope.kind]];
  return all.filter((row) => column[row] === scope.id);
}

/** A scope's way from the widest thing down to it, with names: the breadcrumb. */
export function pathOf(index: TreeIndex, scope: LensScope | null): { scope: LensScope; name: string }[] {
  if (scope === null) return [];
  const { kind, id } = scope;
  const place =
    kind === 'target'
      ? index.placeOfTarget(id)
      : kind === 'ad-group'
        ? index.placeOfAdGroup(id)
        : kind === 'campaign'
          ? index.placeOfCampaign(id)
          : index.placeOfProduct(kind === 'product' ? id : 0);
  const steps: [ScopeKind, number, string | undefined][] = [
    ['line', kind === 'line' ? id : place.lineId, index.lines.get(kind === 'line' ? id : place.lineId)],
    ['product', place.productId, index.products.get(place.productId)?.name],
    ['campaign', place.campaignId, index.campaigns.get(place.campaignId)?.name],
    ['ad-group', place.adGroupId, index.adGroups.get(place.adGroupId)?.name],
    ['target', place.targetId, index.targets.get(place.targetId)?.expression],
  ];
  const last = SCOPE_KINDS.indexOf(kind);
  return steps.flatMap(([step, at, name]) =>
    at !== 0 && name !== undefined && SCOPE_KINDS.indexOf(step) <= last
      ? [{ scope: { kind: step, id: at }, name }]
      : [],
  );
}
