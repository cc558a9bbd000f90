import { changesQuery, stageRequest } from '../../../contract/changeSchemas';
import { needAccount } from '../../../server/accounts/accounts';
import { loadChanges } from '../../../server/changes/loadChanges';
import { stageChanges } from '../../../server/changes/stageChanges';
import { endpoint } from '../../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: changesQuery,
  owned: ({ query: { account, bale } }) => ({ account, bale: bale === undefined ? [] : [bale] }),
  run: async ({ query: { account, state, bale } }) => {
    await needAccount(account);
    return loadChanges(account, { state, baleId: bale });
  },
});

export const POST = endpoint({
  may: 'decide',
  body: stageRequest,
  status: 201,
  run: async ({ body: { account, changes }, caller }) => {
    await needAccount(account);
    return { ids: await stageChanges(caller, account, changes) };
  },
});
