import { matchForm } from '../../core/matching';
import { blockedForms, rowsOfForm } from '../../core/words';
import { sumsOfRows } from '../../core/terms';
import type { PartDetail, PartPlace } from './types';
import { lineOf, placeText, productOfRow } from './keptWords';
import type { KeptWords } from './keptWords';

const MOST_TERMS = 100;

/** Which terms hold a part, where they ran, and what a phrase negative of it would block there. */
export function partDetail(held: KeptWords, text: string, productId: number | null): PartDetail {
  const { context, check } = held;
  const { table, structure } = context;
  const [forms] = blockedForms(check.terms, [{ match: 'phrase', expression: text }]);
  const isWanted = (row: number) =>
    (productId === null || productOfRow(context, row) === productId) && !held.isBlocked(row);
  const byForm = forms
    .map((form) => ({ form, rows: Array.from(rowsOfForm(check.terms, form)).filter(isWanted) }))
    .filter(({ rows }) => rows.length > 0);
  const rows = byForm.flatMap((one) => one.rows);
  const byCampaign = new Map<number, number[]>();
  for (const row of rows) {
    const id = table.campaignId[row];
    byCampaign.set(id, [...(byCampaign.get(id) ?? []), row]);
  }
  const form = matchForm(text);
  const places = [...byCampaign].map(([campaignId, own]): PartPlace => {
    const [blocks] = check.blocks([{ match: 'phrase', expression: text, campaignId, adGroupId: null }]);
    return {
      campaignId,
      campaign: placeText(context, campaignId, null),
      sums: sumsOfRows(table, own),
      targets: blocks.targets.map(({ id }) => structure.target(id)!.expression),
      isNegative: structure.negatives.some(
        (one) =>
          one.campaignId === campaignId &&
          one.adGroupId === null &&
          one.state === 'enabled' &&
          one.match === 'phrase' &&
          matchForm(one.expression) === form,
      ),
    };
  });
  const lines = byForm.map((one) => lineOf(held, one.form, one.rows));
  return {
    text,
    count: lines.length,
    terms: lines.sort((a, b) => b.sums.spend - a.sums.spend).slice(0, MOST_TERMS),
    sold: lines.filter(({ sums }) => sums.orders > 0).length,
    sums: sumsOfRows(table, rows),
    places: places.sort((a, b) => b.sums.spend - a.sums.spend),
    adGroups: [...new Set(rows.map((row) => table.adGroupId[row]))].map((id) => ({
      id,
      name: placeText(context, structure.adGroup(id)!.campaignId, id),
    })),
    isKeyword: structure.targets.some(
      (one) =>
        one.state === 'enabled' &&
        one.kind === 'keyword' &&
        one.match === 'phrase' &&
        matchForm(one.expression) === form,
    ),
  };
}
