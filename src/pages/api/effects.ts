import { effectsQuery } from '../../contract/changeSchemas';
import { loadBaleEffects, loadSortEffects } from '../../server/effects/loadEffects';
import { endpoint, readQuery } from '../../server/http/endpoint';

export const GET = endpoint(async (context) => {
  const { account, bale } = readQuery<{ account: number; bale?: number }>(context, effectsQuery);
  return bale === undefined ? loadSortEffects(account) : loadBaleEffects(account, bale);
});
