import { exportQuery } from '../../../contract/schemas';
import { needAccount } from '../../../server/accounts/accounts';
import { changesCsv, changesJson } from '../../../server/changes/changeFile';
import { loadChanges } from '../../../server/changes/loadChanges';
import { endpoint, readQuery } from '../../../server/http/endpoint';
import { fileResponse } from '../../../server/http/fileResponse';

export const GET = endpoint(async (context) => {
  const { account, format, bale } = readQuery<{ account: number; format: 'csv' | 'json'; bale?: number }>(
    context,
    exportQuery,
  );
  await needAccount(account);
  const changes = await loadChanges(account, bale ? { baleId: bale } : { state: 'staged' });
  const name = bale ? `bale-${bale}` : 'tray';
  return format === 'csv'
    ? fileResponse(changesCsv(changes), `${name}.csv`, 'text/csv')
    : fileResponse(changesJson(changes), `${name}.json`, 'application/json');
});
