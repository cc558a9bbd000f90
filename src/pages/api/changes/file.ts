import { accountQuery } from '../../../contract/schemas';
import { exportQuery } from '../../../contract/changeSchemas';
import { needAccount } from '../../../server/accounts/accounts';
import { changeFile } from '../../../server/changes/changeFile';
import type { ChangeFileFormat } from '../../../server/changes/changeFile';
import { loadChanges } from '../../../server/changes/loadChanges';
import { readChangeFile } from '../../../server/changes/readChangeFile';
import { endpoint, readQuery } from '../../../server/http/endpoint';

export const GET = endpoint(async (context) => {
  const { account, format, bale } = readQuery<{ account: number; format: ChangeFileFormat; bale?: number }>(
    context,
    exportQuery,
  );
  await needAccount(account);
  const changes = await loadChanges(account, bale ? { baleId: bale } : { state: 'staged' });
  return changeFile(changes, format, bale ? `bale-${bale}` : 'tray');
});

/** Reads an edited change file back: answers what it says differently, and changes nothing. */
export const POST = endpoint(async (context) => {
  const { account } = readQuery<{ account: number }>(context, accountQuery);
  return readChangeFile(account, (context.request.body ?? []) as AsyncIterable<Uint8Array>);
});
