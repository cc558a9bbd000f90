import { bidEdit } from '../../../contract/schemas';
import { editBid } from '../../../server/changes/stageChanges';
import { endpoint, readBody } from '../../../server/http/endpoint';

export const POST = endpoint(async (context) => {
  const { account, id, bid } = await readBody<{ account: number; id: number; bid: number }>(context, bidEdit);
  await editBid(account, id, bid);
  return { id, bid };
});
