import { exportQuery } from '../../../contract/changeSchemas';
import { accountQuery } from '../../../contract/schemas';
import { needAccount } from '../../../server/accounts/accounts';
import { changeFile } from '../../../server/changes/changeFile';
import { loadChanges } from '../../../server/changes/loadChanges';
import { readChangeFile } from '../../../server/changes/readChangeFile';
import { bodyOf } from '../../../server/http/bodyOf';
import { endpoint } from '../../../server/http/endpoint';
import { noteExport } from '../../../server/trail';

export const GET = endpoint({
  may: 'see',
  query: exportQuery,
  run: async ({ query: { account, format, bale }, caller }) => {
    await needAccount(account);
    await noteExport(caller, account, { what: bale ? `bale ${bale}` : 'tray', format });
    const changes = await loadChanges(account, bale ? { baleId: bale } : { state: 'staged' });
    return changeFile(changes, format, bale ? `bale-${bale}` : 'tray');
  },
});

/** Reads an edited change file back: answers what it says differently, and changes nothing. */
export const POST = endpoint({
  may: 'see',
  // It waits for its sender first.
  isLight: true,
  query: accountQuery,
  run: ({ query: { account }, request }) => readChangeFile(account, bodyOf(request)),
});
