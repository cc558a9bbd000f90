import type { ReportField, TableKind } from '../../contract/reportFields';
import type { HeadingSpec } from '../reports';

/** How a field of a list is read. */
export type CellType = 'text' | 'amount' | 'share' | 'state' | 'budget kind' | 'modifier' | 'scope';

/** A list that is taken in whole: small, without days. */
export interface TableSpec extends HeadingSpec {
  kind: TableKind;
  types: Partial<Record<ReportField, CellType>>;
}

function spec(kind: TableKind, types: TableSpec['types'], required: ReportField[][]): TableSpec {
  return { kind, types, fields: Object.keys(types) as ReportField[], required };
}

export const TABLE_SPECS: Record<TableKind, TableSpec> = {
  costs: spec(
    'costs',
    {
      itemCode: 'text',
      sku: 'text',
      product: 'text',
      price: 'amount',
      goods: 'amount',
      fees: 'amount',
      shipping: 'amount',
      refundRate: 'share',
      recovered: 'amount',
      currency: 'text',
    },
    [['itemCode', 'sku']],
  ),
  goals: spec(
    'goals',
    { scope: 'scope', name: 'text', acos: 'share', acosTo: 'share', margin: 'share', marginTo: 'share' },
    [['scope'], ['acos', 'margin']],
  ),
  entities: spec(
    'entities',
    {
      campaignId: 'text',
      campaign: 'text',
      campaignState: 'state',
      budget: 'amount',
      budgetKind: 'budget kind',
      topModifier: 'modifier',
      restModifier: 'modifier',
      pagesModifier: 'modifier',
      adGroupId: 'text',
      adGroup: 'text',
      adGroupState: 'state',
      defaultBid: 'amount',
      itemCode: 'text',
      targetId: 'text',
      target: 'text',
      match: 'text',
      bid: 'amount',
      state: 'state',
      currency: 'text',
    },
    [['campaign', 'campaignId']],
  ),
};
