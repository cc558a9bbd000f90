import { accountQuery } from '../../../contract/schemas';
import { changeIds } from '../../../contract/changeSchemas';
import { needAccount } from '../../../server/accounts/accounts';
import { loadBales } from '../../../server/changes/loadChanges';
import { sendBale } from '../../../server/changes/sendBale';
import { endpoint, readBody, readQuery } from '../../../server/http/endpoint';

export const GET = endpoint(async (context) => {
  const { account } = readQuery<{ account: number }>(context, accountQuery);
  await needAccount(account);
  return loadBales(account);
});

export const POST = endpoint(async (context) => {
  const { account, ids } = await readBody<{ account: number; ids: number[] }>(context, changeIds);
  return sendBale(account, ids);
});
