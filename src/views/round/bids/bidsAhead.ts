import { BID_QUEUE, idsOfSubject } from '../../../contract/aside';
import { aheadOf, pendingTargets, roundSettings } from '../../../plans/bids';
import type { LoadedLens } from '../../../plans/field';
import { pageEngine } from '../../shared/fieldEngine/pageEngine';
import type { StepAhead } from '../decided';
import { bidsAsked, withoutDecided } from './bidsAsked';
import { bidsLoad } from './bidsLoad';

/** All targets, what is proposed for them, and the rows of a step of them. */
export const bidsAhead: StepAhead<LoadedLens> = (account, view, step, decided) => {
  const load = bidsLoad(account, view.from, view.to);
  if (!decided) return load;
  const settings = roundSettings(account.choices, account.limits, aheadOf(decided.pending));
  const rows = withoutDecided(
    bidsAsked(step, view, settings),
    pendingTargets(decided.pending).keys(),
    decided.asideIn(BID_QUEUE).map((subject) => idsOfSubject(subject)[0]),
  );
  return {
    ...load,
    first: [
      { question: settings, ask: ({ loadId }) => pageEngine().planBids(loadId, settings) },
      { question: rows, ask: ({ loadId }) => pageEngine().arrangeBids(loadId, rows) },
    ],
  };
};
