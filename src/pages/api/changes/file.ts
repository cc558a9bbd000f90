import { accountQuery, exportQuery } from '../../../contract/schemas';
import { XLSX_TYPE } from '../../../connect/spreadsheet';
import { needAccount } from '../../../server/accounts/accounts';
import { changesCsv, changesJson, changesWorkbook } from '../../../server/changes/changeFile';
import { loadChanges } from '../../../server/changes/loadChanges';
import { readChangeFile } from '../../../server/changes/readChangeFile';
import { endpoint, readQuery } from '../../../server/http/endpoint';
import { fileResponse } from '../../../server/http/fileResponse';
import { streamResponse } from '../../../server/http/streamResponse';

export const GET = endpoint(async (context) => {
  const { account, format, bale } = readQuery<{
    account: number;
    format: 'csv' | 'xlsx' | 'json';
    bale?: number;
  }>(context, exportQuery);
  await needAccount(account);
  const changes = await loadChanges(account, bale ? { baleId: bale } : { state: 'staged' });
  const name = bale ? `bale-${bale}` : 'tray';
  switch (format) {
    case 'xlsx':
      return streamResponse({ name: `${name}.xlsx`, type: XLSX_TYPE, body: changesWorkbook(changes) });
    case 'csv':
      return fileResponse(changesCsv(changes), `${name}.csv`, 'text/csv');
    case 'json':
      return fileResponse(changesJson(changes), `${name}.json`, 'application/json');
  }
});

/** Reads an edited change file back: answers what it says differently, and changes nothing. */
export const POST = endpoint(async (context) => {
  const { account } = readQuery<{ account: number }>(context, accountQuery);
  return readChangeFile(account, (context.request.body ?? []) as AsyncIterable<Uint8Array>);
});
