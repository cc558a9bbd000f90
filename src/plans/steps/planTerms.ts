import { inDecimals } from '../../core/changes';
import { EVIDENCE_GRADES } from '../../core/evidence';
import { sumsOfRow } from '../../core/terms';
import { daysIn, DAYS_PER_MONTH } from '../../core/units';
import type { StepName } from '../../contract/review';
import { toChanges } from '../terms';
import type { KeptReview, Proposal, ReviewSettings } from '../terms';
import { amount, figuresOf } from './planned';
import type { Planned } from './planned';

/** What a step proposes for the search terms of a window, in the order of the page. @param handled keys of rows that are staged or put aside */
export function planTerms(
  held: KeptReview,
  step: StepName,
  settings: ReviewSettings,
  handled: ReadonlySet<string>,
): Planned[] {
  return held.proposals(step, settings, handled).map((proposal) => planned(held, proposal, settings));
}

function planned(held: KeptReview, proposal: Proposal, { targetAcos }: ReviewSettings): Planned {
  const { loaded, context } = held;
  const { table, window } = loaded;
  const { row } = proposal;
  const changes = toChanges(proposal, loaded, targetAcos);
  const [first, ...rest] = changes ?? [];
  const adGroup = context.structure.adGroup(table.adGroupId[row]);
  const effect = first?.effect ?? { spend: 0, sales: 0 };
  const margin = context.margin(row);
  const profit =
    proposal.step === 'harvest'
      ? proposal.gain.profit
      : margin === null
        ? null
        : margin * effect.sales - effect.spend;
  return {
    changes,
    adGroupId: table.adGroupId[row],
    expected: { ...effect, profit },
    told: {
      subject: {
        kind: 'term',
        id: `${table.adGroupId[row]}:${table.termId[row]}`,
        name: table.term[row],
        campaign: context.structure.campaign(table.campaignId[row])?.name ?? '',
        adGroup: adGroup?.name ?? '',
      },
      from: null,
      to: proposal.step === 'harvest' ? amount(proposal.bid) : null,
      change: first ? inDecimals(first.change) : null,
      also: rest.map(({ change }) => inDecimals(change)),
      reason: proposal.reason,
      evidence: context.value(row)?.grade ?? EVIDENCE_GRADES[0],
      figures: figuresOf(sumsOfRow(table, row)),
      expected: {
        // A harvest's clicks move with its bid in ways that are told in money alone.
        clicks:
          proposal.step === 'harvest'
            ? null
            : (-table.clicks[row] / daysIn(window.from, window.to)) * DAYS_PER_MONTH,
        spend: amount(effect.spend),
        sales: amount(effect.sales),
        profit: amount(profit),
      },
    },
  };
}
