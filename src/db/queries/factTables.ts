import { FACTS } from '../../contract/facts';
import type { FactSpec, ReportKind } from '../../contract/facts';

/** Where the rows of a kind of report are kept. */
export interface FactTable {
  /** With schema. */
  table: string;
  /** Where its rows are added up by week, with schema; null where days do not add up. */
  weekTable: string | null;
  /** Column of the entity that a row speaks of. */
  place: 'target_id' | 'campaign_id' | 'product_id';
  /** Column of what else tells the rows of a day apart; null where nothing does. */
  detail: FactSpec['detailColumn'];
  /** Columns of the figures, each with the field that it keeps. */
  figures: { field: string; column: string; type: 'int4' | 'int8' }[];
}

/** The table of a kind of report. */
export function factTable(kind: ReportKind): FactTable {
  const spec: FactSpec = FACTS[kind];
  return {
    table: `mowing.${spec.table}`,
    weekTable: spec.weekTable === null ? null : `mowing.${spec.weekTable}`,
    place: `${spec.place}_id`,
    detail: spec.detailColumn,
    figures: spec.figures.map(({ field, column, unit }) => ({
      field,
      column,
      type: unit === 'amount' ? 'int8' : 'int4',
    })),
  };
}

/** Columns that name a row in a fact table, besides the account. */
export const keyColumns = ({ place, detail }: FactTable): string[] => [
  'day',
  place,
  ...(detail === null ? [] : [detail]),
];
