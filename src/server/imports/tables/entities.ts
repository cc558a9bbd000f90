import { MowingError } from '../../../contract/mowingError';
import { classifyTarget } from '../../../connect/reports';
import type { TableRow } from '../../../connect/tables';
import type { Query } from '../../../db/connection';
import type { AccountRow } from '../../../db/queries/accounts';
import { setEntityValues } from '../../../db/queries/entityValues';
import type { EntityValues } from '../../../db/queries/entityValues';
import { resolvePlaces } from '../../../db/queries/importPlaces';
import { bearOut } from '../../changes/bearOut';
import type { TableResult } from './tableResult';

/**
 * Keeps campaigns, ad groups and targets with their bids, budgets and states: one row for each target, or for an ad group
 * or campaign without one. What is not known yet is made; what the list leaves empty stays as it is.
 * @throws MowingError for an account whose structure comes from its market
 */
export async function keepEntities(
  tx: Query,
  { id, marketId }: AccountRow,
  rows: TableRow[],
): Promise<TableResult> {
  // What a list said would stand until the market changes the same thing itself: a sync fetches only what changed.
  if (marketId !== null)
    throw new MowingError(
      'unreadable-file',
      'Campaigns and targets of this account come from its market with each sync. Nothing was taken in.',
    );
  const refused: TableResult['refused'] = [];
  const text = (value: string | number | null | undefined) => String(value ?? '');
  const withTarget = rows.filter((row) => row.target != null || row.targetId != null);
  const others = rows.filter((row) => row.target == null && row.targetId == null);
  const names = (row: TableRow) => ({ campaignId: text(row.campaignId), campaign: text(row.campaign) });
  const targetIds = await resolvePlaces(
    tx,
    id,
    'target',
    withTarget.map((row) => {
      const { kind, match, expression } = classifyTarget(text(row.target), text(row.match));
      const adGroup = {
        adGroupId: text(row.adGroupId),
        adGroup: text(row.adGroup),
        targetId: text(row.targetId),
      };
      return { ...names(row), ...adGroup, kind, match: match ?? '', expression };
    }),
  );
  const campaignIds = await resolvePlaces(tx, id, 'campaign', others.map(names));
  // What an ad group advertises; a product that is not known yet is made.
  const withItem = withTarget.filter(({ itemCode }) => itemCode != null);
  const productIds = await resolvePlaces(
    tx,
    id,
    'product',
    withItem.map(({ itemCode }) => ({ itemCode: text(itemCode) })),
  );
  const products = new Map(withItem.map((row, at) => [row, productIds[at]]));
  const values: EntityValues[] = [];
  const take = (row: TableRow, ids: { targetId: number | null; campaignId: number | null }) => {
    if (ids.targetId === null && ids.campaignId === null)
      refused.push({
        line: row.line,
        reason: 'Its name means several campaigns or ad groups of this account. Give its ids.',
      });
    else
      values.push({
        ...ids,
        adGroupName: row.adGroup == null ? null : text(row.adGroup),
        productId: products.get(row) ?? null,
        ...valuesOf(row),
      });
  };
  withTarget.forEach((row, at) => take(row, { targetId: targetIds[at], campaignId: null }));
  others.forEach((row, at) => take(row, { targetId: null, campaignId: campaignIds[at] }));
  const kept = await setEntityValues(tx, id, values);
  return { kept, unchanged: values.length - kept, refused, remark: await bearOut(tx, id, values) };
}

function valuesOf(
  row: TableRow,
): Omit<EntityValues, 'targetId' | 'campaignId' | 'adGroupName' | 'productId'> {
  const amount = (value: string | number | null | undefined) => (typeof value === 'number' ? value : null);
  const word = (value: string | number | null | undefined) => (value == null ? null : String(value));
  return {
    bid: amount(row.bid),
    state: word(row.state),
    defaultBid: amount(row.defaultBid),
    adGroupState: word(row.adGroupState),
    budget: amount(row.budget),
    budgetKind: word(row.budgetKind),
    campaignState: word(row.campaignState),
    top: amount(row.topModifier),
    rest: amount(row.restModifier),
    pages: amount(row.pagesModifier),
  };
}
