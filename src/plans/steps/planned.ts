import type { NewChange } from '../../contract/changes';
import type { Amount, PlanAnswer, PlanProposal } from '../../contract/plan';
import type { Month } from '../../core/bids';
import { inDecimals } from '../../core/changes';
import { GRADES, sumsAt } from '../../core/lenses';
import type { LensTable } from '../../core/lenses';
import { ratio } from '../../core/measures';
import type { Sums } from '../../core/measures';
import { microsToDecimal } from '../../core/units';

/** A proposal as it is told, with what accepting it stages; null where something has to be chosen by hand first. */
export interface Planned {
  told: PlanProposal;
  changes: NewChange[] | null;
  /** The ad group of a target or a term; null for a campaign. */
  adGroupId: number | null;
  /** Of `told.expected`, micros; null where the margin is not known. */
  expected: { spend: number; sales: number; profit: number | null };
}

/** Money as a decimal string; null where it is not known. */
export function amount(micros: number): Amount;
export function amount(micros: number | null): Amount | null;
export function amount(micros: number | null): Amount | null {
  return micros === null ? null : microsToDecimal(Math.round(micros));
}

/** What a subject did in the window. */
export const figuresOf = ({
  impressions,
  clicks,
  orders,
  spend,
  sales,
}: Pick<Sums, 'impressions' | 'clicks' | 'orders' | 'spend' | 'sales'>): PlanProposal['figures'] => ({
  impressions,
  clicks,
  orders,
  spend: amount(spend),
  sales: amount(sales),
  acos: ratio(spend, sales),
});

/** What all proposals of a step come to; the profit is of those whose margin is known. */
export function summaryOf(list: readonly Planned[]): PlanAnswer['summary'] {
  const sum = { spend: 0, sales: 0, profit: null as number | null };
  for (const { expected } of list) {
    sum.spend += expected.spend;
    sum.sales += expected.sales;
    if (expected.profit !== null) sum.profit = (sum.profit ?? 0) + expected.profit;
  }
  return {
    count: list.length,
    spend: amount(sum.spend),
    sales: amount(sum.sales),
    profit: amount(sum.profit),
  };
}

/**
 * A campaign's proposal as it is told.
 * @param changes the first of them is the proposal, the others go with it
 */
export function plannedCampaign(
  table: LensTable,
  row: number,
  { now, after }: { now: Month; after: Month },
  changes: NewChange[],
  said: Pick<PlanProposal, 'from' | 'to' | 'reason'>,
): Planned {
  const [first, ...rest] = changes;
  const [spend, sales] = [after.spend - now.spend, after.sales - now.sales];
  const margin = table.margin[row];
  const profit = Number.isNaN(margin) ? null : margin * sales - spend;
  const name = table.name[row];
  return {
    changes,
    adGroupId: null,
    expected: { spend, sales, profit },
    told: {
      subject: { kind: 'campaign', id: table.campaignId[row], name, campaign: name, adGroup: '' },
      change: inDecimals(first.change),
      also: rest.map(({ change }) => inDecimals(change)),
      evidence: GRADES[table.grade[row]],
      figures: figuresOf(sumsAt(table.now, row)),
      expected: {
        clicks: after.clicks - now.clicks,
        spend: amount(spend),
        sales: amount(sales),
        profit: amount(profit),
      },
      ...said,
    },
  };
}
