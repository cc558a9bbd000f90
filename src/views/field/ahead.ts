import type { AccountInfo } from '../../contract/api';
import { asksPlan } from '../../plans/bids';
import type { LoadedLens, RowsAsked } from '../../plans/field';
import { pageEngine } from '../shared/fieldEngine/pageEngine';
import type { AheadLoad } from '../shared/worker/workerLoad';
import { readView } from './fieldView';
import { lensLoad } from './lensLoad';

/** What the field shows first at an address: its figures, and the rows of them. */
export function ahead(values: URLSearchParams, account: AccountInfo): AheadLoad<LoadedLens> {
  const { lens, asked, scope, stack, sorts } = readView(values);
  const load = lensLoad(account, lens, asked);
  // What the round proposes starts from what is in the tray: the page knows it, and asks.
  if (asksPlan(stack, sorts)) return load;
  const question: RowsAsked = { scope, stack, sorts, judge: null };
  return { ...load, first: [{ question, ask: ({ loadId }) => pageEngine().arrange(loadId, question) }] };
}
