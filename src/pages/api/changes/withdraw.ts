import { changeIds } from '../../../contract/changeSchemas';
import { withdraw } from '../../../server/changes/stageChanges';
import { endpoint, readBody } from '../../../server/http/endpoint';

export const POST = endpoint(async (context) => {
  const { account, ids } = await readBody<{ account: number; ids: number[] }>(context, changeIds);
  return { ids: await withdraw(account, ids) };
});
