import type { AccountInfo } from '../../contract/api';
import { given } from '../shared/given';
import type { AheadLoad } from '../shared/worker/workerLoad';
import { bidsAhead } from './bids/bidsAhead';
import { campaignsLoad } from './campaigns/campaignsLoad';
import { decidedOf } from './decided';
import type { StepAhead } from './decided';
import { partsLoad } from './overview/partsLoad';
import { readRoundView } from './roundView';
import { termsAhead } from './terms/termsAhead';

const campaigns: StepAhead<unknown> = (account, { from, to }) => campaignsLoad(account, from, to);

/** By the step's name in the address, where it names one; a step that is not here asks when it is drawn. */
const LOADS: Record<string, StepAhead<unknown>> = {
  '': (account, { asked }) => partsLoad(account, asked),
  dead: bidsAhead,
  over: bidsAhead,
  grow: bidsAhead,
  harvest: termsAhead,
  negatives: termsAhead,
  placements: campaigns,
  budgets: campaigns,
  hours: campaigns,
};

/** What the round shows first at an address. */
export function ahead(values: URLSearchParams, account: AccountInfo): AheadLoad<unknown> | null {
  const step = values.get('step') ?? '';
  return LOADS[step]?.(account, readRoundView(values), step, decidedOf(given(), account.id)) ?? null;
}
