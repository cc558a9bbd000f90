import type { AccountInfo } from '../../../src/contract/api';
import type { LensName } from '../../../src/core/lenses';
import { aheadOf, roundSettings } from '../../../src/plans/bids';
import { api } from '../../../src/views/shared/api';
import { dataVersion } from '../../../src/views/shared/fieldEngine/dataVersion';
import { fieldEngine } from '../../../src/views/shared/fieldEngine/fieldEngine';
import { reviewEngine } from '../../../src/views/shared/reviewEngine/reviewEngine';

/** What a place has the server read and the page compute, without a page. */
export type Bare = (account: AccountInfo) => Promise<unknown>;

/** The endpoints are asked from here as a worker asks them from within the page. */
export function askAt(url: string): void {
  const usual = globalThis.fetch;
  globalThis.fetch = (path, init) => usual(typeof path === 'string' ? new URL(path, url) : path, init);
}

export const bareLens =
  (lens: LensName): Bare =>
  (account) =>
    fieldEngine().load(account.id, dataVersion(account), lens);

export const bareOverview: Bare = ({ id }) => api.overviewParts(id, {});

export const bareBids: Bare = async (account) => {
  const engine = fieldEngine();
  const { loadId } = await engine.load(account.id, dataVersion(account), 'targets');
  return engine.planBids(loadId, roundSettings(account.choices, account.limits, aheadOf([])));
};

export const bareCampaigns: Bare = (account) => fieldEngine().loadCampaigns(account.id, dataVersion(account));

export const bareReview: Bare = ({ id }) => reviewEngine().load(id);

export const bareWords: Bare = (account) => api.words(account.id);
