import { normaliseTerm } from '../../matching';
import type { NegativeMatch } from '../../matching';
import { checkWords } from '../limits';
import { touchesCaught } from './caught';
import type { ArchiveNegative } from './archiveNegative';
import type { ChangeSpec } from './spec';

/** Keeps words or an item out of an ad group, or of a whole campaign. */
export interface AddNegative {
  kind: 'add-negative';
  campaignId: number;
  adGroupId: number | null;
  match: NegativeMatch;
  expression: string;
}

export const addNegative: ChangeSpec<AddNegative, ArchiveNegative> = {
  kind: 'add-negative',
  shape: {
    campaignId: 'id',
    adGroupId: 'id or null',
    match: { oneOf: ['exact', 'phrase', 'item'] },
    expression: 'expression',
  },
  byRequest: true,
  key: ({ adGroupId, campaignId, match, expression }) =>
    `negative ${adGroupId ?? `campaign ${campaignId}`} ${match} ${normaliseTerm(expression)}`,
  words: ({ expression, match, adGroupId }) =>
    `Block “${expression}” (${match}${adGroupId === null ? ', whole campaign' : ''})`,
  group: () => 'Negatives',
  purpose: (_, step) => (step === 'harvest' ? 'harvest' : 'negatives'),
  entities: ({ campaignId, adGroupId }) => ({
    campaign: campaignId,
    ...(adGroupId === null ? {} : { adGroup: adGroupId }),
  }),
  sets: null,
  makes: 'negative',
  present: ({ made }) => made,
  isChangedSince: (_, present) => present !== 'enabled',
  inverse: (_, { negativeId }) => (negativeId === null ? null : { kind: 'archive-negative', negativeId }),
  check: ({ match, expression }, limits) => (match === 'item' ? [] : checkWords(expression, limits)),
  blocks: ({ campaignId, adGroupId, match, expression }) => ({ campaignId, adGroupId, match, expression }),
  touches: touchesCaught,
  toMarket: ({ campaignId, adGroupId, match, expression }, ids) => {
    const campaign = ids.campaign(campaignId);
    const adGroup = adGroupId === null ? null : ids.adGroup(adGroupId);
    return campaign && adGroup !== undefined
      ? {
          do: 'create',
          entity: 'negatives',
          fields: { campaignId: campaign, adGroupId: adGroup, match, expression },
        }
      : null;
  },
  accepted: ({ campaignId, adGroupId, match, expression }) => ({
    does: 'make-negative',
    campaignId,
    adGroupId,
    match,
    expression,
  }),
};
