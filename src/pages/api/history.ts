import { historyQuery } from '../../contract/fieldSchemas';
import { loadHistory } from '../../server/field/loadHistory';
import { endpoint } from '../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: historyQuery,
  owned: ({ query: { account, targetId, adGroupId, campaignId } }) => ({
    account,
    target: listed(targetId),
    'ad group': listed(adGroupId),
    campaign: listed(campaignId),
  }),
  run: ({ query }) => loadHistory(query),
});

const listed = (id: number | undefined) => (id === undefined ? [] : [id]);
