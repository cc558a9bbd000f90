import { effectsQuery } from '../../contract/changeSchemas';
import { loadBaleEffects, loadSortEffects } from '../../server/effects/loadEffects';
import { endpoint } from '../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: effectsQuery,
  run: ({ query: { account, bale } }): Promise<unknown> =>
    bale === undefined ? loadSortEffects(account) : loadBaleEffects(account, bale),
});
