import { changeIds } from '../../../contract/schemas';
import { undoChanges } from '../../../server/changes/stageChanges';
import { endpoint, readBody } from '../../../server/http/endpoint';

export const POST = endpoint(async (context) => {
  const { account, ids } = await readBody<{ account: number; ids: number[] }>(context, changeIds);
  return { ids: await undoChanges(account, ids) };
});
