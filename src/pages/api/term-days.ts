import { termDaysQuery } from '../../contract/schemas';
import { endpoint } from '../../server/http/endpoint';
import { loadTermDays } from '../../server/review/loadTermDays';

export const GET = endpoint({
  may: 'see',
  query: termDaysQuery,
  owned: ({ query: { account, adGroup } }) => ({ account, 'ad group': [adGroup] }),
  run: ({ query: { account: accountId, adGroup: adGroupId, term: termId, from, to } }) =>
    loadTermDays({ accountId, adGroupId, termId, from, to }),
});
