import type { ReportKind } from '../../contract/reportFields';

/** Where the rows of a kind of report are kept. */
export interface FactTable {
  /** With schema. */
  table: string;
  /** Column of the entity that a row speaks of. */
  place: 'target_id' | 'campaign_id' | 'product_id';
  /** Column of what else tells the rows of a day apart; null where nothing does. */
  detail: 'term_id' | 'placement' | 'hour' | null;
  /** Columns of the figures, in the order of the report's figures. */
  figures: { column: string; type: 'int4' | 'int8' }[];
}

const count = (column: string) => ({ column, type: 'int4' as const });
const money = (column: string) => ({ column, type: 'int8' as const });
const AD_FIGURES = [
  count('impressions'),
  count('clicks'),
  count('orders'),
  count('units'),
  money('spend_micros'),
  money('sales_micros'),
];

export const FACT_TABLES: Record<ReportKind, FactTable> = {
  terms: { table: 'mowing.term_day', place: 'target_id', detail: 'term_id', figures: AD_FIGURES },
  targets: { table: 'mowing.target_day', place: 'target_id', detail: null, figures: AD_FIGURES },
  placements: {
    table: 'mowing.placement_day',
    place: 'campaign_id',
    detail: 'placement',
    figures: AD_FIGURES,
  },
  hours: { table: 'mowing.campaign_hour', place: 'campaign_id', detail: 'hour', figures: AD_FIGURES },
  sales: {
    table: 'mowing.product_day',
    place: 'product_id',
    detail: null,
    figures: [
      count('orders'),
      count('units'),
      money('sales_micros'),
      count('refunded_units'),
      money('refunded_micros'),
    ],
  },
  ranks: {
    table: 'mowing.rank_day',
    place: 'product_id',
    detail: 'term_id',
    figures: [count('organic_rank'), count('weekly_searches')],
  },
};

/** Columns that name a row in a fact table, besides the account. */
export const keyColumns = ({ place, detail }: FactTable): string[] => [
  'day',
  place,
  ...(detail === null ? [] : [detail]),
];
