import { kindReader, NO_LISTS } from '../matching';
import type { TermKind, WordLists } from '../matching';
import { estimateValuePerClick, usualInAccount, usualInCampaign } from '../evidence';
import type { ConversionPrior, Usual, ValuePerClick } from '../evidence';
import { ratio } from '../measures';
import { indexStructure } from '../structure';
import type { Structure, StructureIndex } from '../structure';
import { termPriors } from './termPriors';
import { normalisedTerms, sumsByCampaign, sumsOfRow, sumsOfRows, termForms } from './termTable';
import type { TermTable } from './termTable';

/** Everything an engine may ask about the rows of a term table. Built once per window. */
export interface TermContext {
  table: TermTable;
  structure: StructureIndex;
  /** Normalised terms, by row: for searching by letters. */
  normalised: string[];
  /** Terms as matching compares them, by row. */
  forms: string[];
  /** What is usual in the campaign of a row. */
  usual: (row: number) => Usual;
  /** What is expected of a row's conversion before its own clicks. */
  prior: (row: number) => ConversionPrior;
  /** What the product of a row's ad group leaves of a sale before ads, share; null where costs are not known. */
  margin: (row: number) => number | null;
  /** What clicks cost as a share of their bids, over all rows whose bid is known; 1 where none is. */
  usualCostOfBid: () => number;
  /** What sort of term a row holds, and the word of the account's lists that says so. */
  kind: (row: number) => TermKind;
  /** Estimated revenue per click of a row, null when the account has no sales at all. */
  value: (row: number) => ValuePerClick | null;
}

/** Puts a table and the account's structure together. Linear in both. @param margins by product, shares @param lists words that tell brands, and what is never wanted */
export function termContext(
  table: TermTable,
  structure: Structure,
  margins: ReadonlyMap<number, number> = new Map(),
  lists: WordLists = NO_LISTS,
): TermContext {
  const account = usualInAccount(sumsOfRows(table));
  const byCampaign = new Map(
    [...sumsByCampaign(table)].map(([id, sums]) => [id, usualInCampaign(sums, account)] as const),
  );
  const usual = (row: number) => byCampaign.get(table.campaignId[row]) ?? account;
  const index = indexStructure(structure);
  // Fitted when it is first asked for: who only looks at words never does.
  let priors: ReturnType<typeof termPriors> | undefined;
  let share: number | undefined;
  const forms = termForms(table);
  const kinds = kindReader(lists);
  return {
    table,
    structure: index,
    normalised: normalisedTerms(table),
    forms,
    usual,
    prior: (row) => (priors ??= termPriors(table, usual))(row),
    margin: (row) => margins.get(index.adGroup(table.adGroupId[row])?.productId ?? -1) ?? null,
    usualCostOfBid: () => (share ??= costOfAllBids(table, index)),
    kind: (row) => kinds(table.term[row], forms[row]),
    value: (row) => estimateValuePerClick(sumsOfRow(table, row), usual(row)),
  };
}

function costOfAllBids(table: TermTable, structure: StructureIndex): number {
  let [spend, offered] = [0, 0];
  for (let row = 0; row < table.size; row += 1) {
    const bid = structure.target(table.targetId[row])?.bid ?? 0;
    if (bid <= 0 || table.clicks[row] === 0) continue;
    spend += table.spend[row];
    offered += table.clicks[row] * bid;
  }
  return ratio(spend, offered) ?? 1;
}
