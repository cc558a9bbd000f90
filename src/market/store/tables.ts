import type { EntityKind } from '../../contract/market';
import type { MarketTx } from './connection';

/** Tables of entities, their columns by the words of the market's answers, and the letter their ids begin with. */
export const ENTITY_TABLES: Record<
  EntityKind,
  { table: string; columns: Record<string, string>; letter: string }
> = {
  lines: { table: 'line', letter: 'L', columns: { id: 'id', name: 'name' } },
  products: {
    table: 'product',
    letter: 'P',
    columns: {
      id: 'id',
      lineId: 'line_id',
      itemCode: 'item_code',
      sku: 'sku',
      name: 'name',
      price: 'price',
      rating: 'rating',
      stock: 'stock',
      discount: 'discount',
    },
  },
  campaigns: {
    table: 'campaign',
    letter: 'C',
    columns: {
      id: 'id',
      name: 'name',
      state: 'state',
      budget: 'budget',
      budgetKind: 'budget_kind',
      pacing: 'pacing',
      flex: 'flex',
      similar: 'similar_on',
      startsOn: 'starts_on',
      endsOn: 'ends_on',
      top: 'top',
      rest: 'rest',
      pages: 'pages',
    },
  },
  'ad-groups': {
    table: 'ad_group',
    letter: 'G',
    columns: {
      id: 'id',
      campaignId: 'campaign_id',
      name: 'name',
      state: 'state',
      defaultBid: 'default_bid',
      budget: 'budget',
      startsOn: 'starts_on',
      endsOn: 'ends_on',
    },
  },
  ads: {
    table: 'ad',
    letter: 'A',
    columns: {
      id: 'id',
      adGroupId: 'ad_group_id',
      productId: 'product_id',
      titles: 'titles',
      pictures: 'pictures',
      state: 'state',
    },
  },
  targets: {
    table: 'target',
    letter: 'T',
    columns: {
      id: 'id',
      adGroupId: 'ad_group_id',
      kind: 'kind',
      match: 'match',
      expression: 'expression',
      refine: 'refine',
      bid: 'bid',
      state: 'state',
    },
  },
  negatives: {
    table: 'negative',
    letter: 'N',
    columns: {
      id: 'id',
      campaignId: 'campaign_id',
      adGroupId: 'ad_group_id',
      match: 'match',
      expression: 'expression',
      state: 'state',
    },
  },
  schedules: {
    table: 'schedule',
    letter: 'S',
    columns: {
      id: 'id',
      campaignId: 'campaign_id',
      name: 'name',
      week: 'week',
      state: 'state',
    },
  },
};

const AS_JSON = ['refine', 'week', 'titles', 'pictures'];

/** A value as its column takes it. (A text given for JSON would be kept as a text in JSON.) */
export const columnValue = (sql: MarketTx, word: string, value: unknown): unknown =>
  AS_JSON.includes(word) && value !== null ? sql.json(value as never) : value;

export const ENTITY_KINDS = Object.keys(ENTITY_TABLES) as EntityKind[];
