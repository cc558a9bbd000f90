import { accountQuery, importQuery } from '../../../contract/schemas';
import { needAccount } from '../../../server/accounts/accounts';
import { endpoint } from '../../../server/http/endpoint';
import { importAnswer, loadImports, needImport } from '../../../server/imports/answer';
import { withUpload } from '../../../server/http/upload';
import { takeIn } from '../../../server/imports/takeIn';

const MARKS = { point: '.', comma: ',' } as const;

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadImports(account),
});

export const POST = endpoint({
  may: 'set up',
  query: importQuery,
  run: async ({ query: { account: id, kind, name, from, to, decimals, ...said }, request, caller }) => {
    const account = await needAccount(id);
    const length = Number(request.headers.get('content-length'));
    const period = from === undefined || to === undefined ? undefined : { from, to };
    const file = {
      name: name || null,
      bytes: length > 0 ? length : null,
      ...said,
      decimals: decimals && MARKS[decimals],
      period,
    };
    const importId = await withUpload(request, file.bytes, ({ source, whole }) =>
      takeIn(caller, account, kind, source, { ...file, whole }),
    );
    return importAnswer(await needImport(account.id, importId));
  },
});
