import type { ChangeState } from '../../../contract/api';
import type { NewChange } from '../../../contract/changes';
import { changesQuery, stageRequest } from '../../../contract/changeSchemas';
import { needAccount } from '../../../server/accounts/accounts';
import { loadChanges } from '../../../server/changes/loadChanges';
import { stageChanges } from '../../../server/changes/stageChanges';
import { endpoint, readBody, readQuery } from '../../../server/http/endpoint';

export const GET = endpoint(async (context) => {
  const query = readQuery<{ account: number; state?: ChangeState; bale?: number }>(context, changesQuery);
  await needAccount(query.account);
  return loadChanges(query.account, { state: query.state, baleId: query.bale });
});

export const POST = endpoint(async (context) => {
  const { account, changes } = await readBody<{ account: number; changes: NewChange[] }>(
    context,
    stageRequest,
  );
  await needAccount(account);
  return Response.json({ ids: await stageChanges(account, changes) }, { status: 201 });
});
