import { changeIds } from '../../../contract/changeSchemas';
import { goFromPresent } from '../../../server/changes/editStaged';
import { endpoint, readBody } from '../../../server/http/endpoint';

export const POST = endpoint(async (context) => {
  const { account, ids } = await readBody<{ account: number; ids: number[] }>(context, changeIds);
  return { ids: await goFromPresent(account, ids) };
});
