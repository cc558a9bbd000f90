import type { CampaignFields } from './campaignFields';
import type { ChangeSpec } from './spec';

/** Which of a campaign's options a change sets. */
type Option = 'pacing' | 'flex' | 'similar';

interface SetsOption<K extends string, O extends Option> {
  kind: K;
  campaignId: number;
  from: CampaignFields[O] | null;
  to: CampaignFields[O];
}

/** What the kinds that set an option of a campaign share. @param what how it is called @param values what it can be */
export const setsOption = <K extends string, O extends Option>(
  kind: K,
  option: O,
  what: string,
  values: readonly CampaignFields[O][],
): ChangeSpec<SetsOption<K, O>> => ({
  kind,
  shape: { campaignId: 'id', from: { oneOf: [null, ...values] }, to: { oneOf: values } } as never,
  byRequest: true,
  key: ({ campaignId }) => `${option} ${campaignId}`,
  words: ({ from, to }) => `${what} ${from ?? 'not known'} → ${to}`,
  group: () => 'Dates, pacing and flex',
  purpose: () => 'other',
  entities: ({ campaignId }) => ({ campaign: campaignId }),
  sets: option,
  makes: null,
  present: ({ campaign }) => campaign?.[option] ?? null,
  fromPresent: (change, present) => {
    const now = values.find((value) => value === present);
    return now === undefined ? change : { ...change, from: now };
  },
  isChangedSince: ({ to }, present) => present !== null && present !== to,
  inverse: ({ from, to, ...rest }) => (from === null ? null : { ...rest, from: to, to: from }),
  check: () => [],
  standsAlready: ({ to }, present) => (present === to ? `It is ${to} already.` : null),
  idleWhenPaused: true,
  touches: ({ campaignId }) => ({ campaign: campaignId }),
  toMarket: ({ campaignId, to }, ids) => {
    const id = ids.campaign(campaignId);
    return id ? { do: 'update', entity: 'campaigns', id, fields: { [option]: to } } : null;
  },
  accepted: ({ campaignId, to }) => ({
    does: 'set',
    entity: 'campaign',
    id: campaignId,
    values: { [option]: to },
  }),
});
