import { kindReader, NO_LISTS } from '../matching';
import type { TermKind, WordLists } from '../matching';
import { estimateValuePerClick, usualInAccount, usualInCampaign } from '../evidence';
import type { ConversionPrior, Usual, ValuePerClick } from '../evidence';
import { ratio } from '../measures';
import { indexStructure } from '../structure';
import type { Structure, StructureIndex } from '../structure';
import { termPriors } from './termPriors';
import { judgedTable, normalisedTerms, sumsByCampaign, sumsOfRow, sumsOfRows, termForms } from './termTable';
import type { TermTable } from './termTable';

/** Everything an engine may ask about the rows of a term table. Built once per window. */
export interface TermContext {
  table: TermTable;
  /** The same rows with the sums that estimates stand on: all settled days that count. */
  judged: TermTable;
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
  /** Share of the clicks of the target that caught a row's term that went to this term. */
  shareOfTarget: (row: number) => number;
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
  const judged = judgedTable(table);
  const account = usualInAccount(sumsOfRows(judged));
  const byCampaign = new Map(
    [...sumsByCampaign(judged)].map(([id, sums]) => [id, usualInCampaign(sums, account)] as const),
  );
  const usual = (row: number) => byCampaign.get(table.campaignId[row]) ?? account;
  const index = indexStructure(structure);
  // Fitted when it is first asked for: who only looks at words never does.
  let priors: ReturnType<typeof termPriors> | undefined;
  let share: number | undefined;
  let clicksOf: Map<number, number> | undefined;
  const prior = (row: number) => (priors ??= termPriors(judged, usual))(row);
  const forms = termForms(table);
  const kinds = kindReader(lists);
  return {
    table,
    structure: index,
    normalised: normalisedTerms(table),
    forms,
    usual,
    judged,
    prior,
    margin: (row) => margins.get(index.adGroup(table.adGroupId[row])?.productId ?? -1) ?? null,
    usualCostOfBid: () => (share ??= costOfAllBids(table, index)),
    kind: (row) => kinds(table.term[row], forms[row]),
    value: (row) => estimateValuePerClick(sumsOfRow(judged, row), usual(row), prior(row)),
    shareOfTarget: (row) => {
      const all = (clicksOf ??= clicksByTarget(judged)).get(judged.targetId[row]) ?? 0;
      return all > 0 ? judged.clicks[row] / all : 0;
    },
  };
}

function clicksByTarget({ size, targetId, clicks }: TermTable): Map<number, number> {
  const sums = new Map<number, number>();
  for (let row = 0; row < size; row += 1)
    sums.set(targetId[row], (sums.get(targetId[row]) ?? 0) + clicks[row]);
  return sums;
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
