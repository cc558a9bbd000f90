import type { AccountTreeColumns } from '../../contract/field';
import type { FindingInfo } from '../../contract/findings';
import type { Given, RefinedTarget, RuledSet } from '../../core/findings';
import type { Route } from '../../core/routes';
import type { Numbers } from '../../core/order';
import type { Negative } from '../../core/structure';
import type { Window } from '../../core/windows';

/** Figures of a window as columns: a target in each row, or a target and one of its search terms. Money in micros. */
export interface FoundColumns {
  targetId: Numbers;
  impressions: Numbers;
  clicks: Numbers;
  orders: Numbers;
  spend: Numbers;
  sales: Numbers;
}

/** Stands between texts: no text of a database holds it. */
export const BETWEEN_TEXTS = '\u0000';

/** What findings are looked for in, light to carry. */
export interface FindingsFrom {
  window: Window;
  tree: AccountTreeColumns;
  negatives: Negative[];
  targets: FoundColumns;
  /** Search terms with a click; their texts as one. */
  terms: FoundColumns & { termId: Numbers; ids: Numbers; texts: string };
  routes: readonly Route[];
  refined: readonly RefinedTarget[];
  sets: readonly RuledSet[];
  offers: Given['offers'];
  /** How campaigns are named, and the codes that products have in names; null: the account keeps no pattern. */
  naming: { pattern: string; codes: ReadonlyMap<number, string> } | null;
  /** Where the market's range begins, micros by target; a target that is not here is not known. */
  leastBids: ReadonlyMap<number, number>;
}

/** What was found, the most money first. */
export interface FoundIn {
  window: Window;
  infos: FindingInfo[];
}
