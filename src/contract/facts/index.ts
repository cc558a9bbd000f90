import { hours } from './hours';
import { placements } from './placements';
import { ranks } from './ranks';
import { sales } from './sales';
import { targets } from './targets';
import { terms } from './terms';

/**
 * Every kind of report by day, in the order in which a sync fetches them: what the pages need first comes first. A new kind is a file
 * beside these, a line here, and a migration for its table.
 */
export const FACTS = { terms, targets, placements, hours, sales, ranks };

export type ReportKind = keyof typeof FACTS;
export const REPORT_KINDS = Object.keys(FACTS) as ReportKind[];

/** What its fields are called. */
type Spec = (typeof FACTS)[ReportKind];
export type FactField =
  | Spec['placeIds' | 'placeNames' | 'structure'][number]
  | Spec['figures'][number]['field']
  | NonNullable<Spec['detail']>;

export type { FactSpec, FigureSpec } from './spec';
