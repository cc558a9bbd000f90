import { effectsQuery } from '../../contract/changeSchemas';
import { loadBaleEffects, loadPurposeEffects } from '../../server/effects/loadEffects';
import { endpoint } from '../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: effectsQuery,
  owned: ({ query: { account, bale } }) => ({ account, bale: bale === undefined ? [] : [bale] }),
  run: ({ query: { account, bale } }): Promise<unknown> =>
    bale === undefined ? loadPurposeEffects(account) : loadBaleEffects(account, bale),
});
