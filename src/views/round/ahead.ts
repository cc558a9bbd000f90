import type { AccountInfo } from '../../contract/api';
import { readWindow } from '../shared/window/readWindow';
import type { WorkerLoad } from '../shared/worker/workerLoad';
import { bidsLoad } from './bids/bidsLoad';
import { campaignsLoad } from './campaigns/campaignsLoad';
import { partsLoad } from './overview/partsLoad';
import { reviewLoad } from './terms/reviewLoad';

type StepLoad = (account: AccountInfo, values: URLSearchParams) => WorkerLoad<unknown>;

const days = (values: URLSearchParams) => [values.get('from'), values.get('to')] as const;
const bids: StepLoad = (account, values) => bidsLoad(account, ...days(values));
const campaigns: StepLoad = (account, values) => campaignsLoad(account, ...days(values));
const terms: StepLoad = (account, values) => reviewLoad(account, ...days(values));

/** By the step's name in the address, where it names one; a step that is not here asks when it is drawn. */
const LOADS: Record<string, StepLoad> = {
  '': (account, values) => partsLoad(account, readWindow(values)),
  dead: bids,
  over: bids,
  grow: bids,
  harvest: terms,
  negatives: terms,
  placements: campaigns,
  budgets: campaigns,
  hours: campaigns,
};

/** What the round shows first at an address. */
export const ahead = (values: URLSearchParams, account: AccountInfo) =>
  LOADS[values.get('step') ?? '']?.(account, values) ?? null;
