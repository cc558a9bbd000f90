import type { ImportKind } from '../../../contract/reportFields';
import { accountQuery, importQuery } from '../../../contract/schemas';
import { needAccount } from '../../../server/accounts/accounts';
import { endpoint, readQuery } from '../../../server/http/endpoint';
import { importAnswer, loadImports, needImport } from '../../../server/imports/answer';
import { takeIn } from '../../../server/imports/takeIn';

export const GET = endpoint(async (context) =>
  loadImports(readQuery<{ account: number }>(context, accountQuery).account),
);

export const POST = endpoint(async (context) => {
  const query = readQuery<{ account: number; kind: ImportKind; name?: string }>(context, importQuery);
  const account = await needAccount(query.account);
  const length = Number(context.request.headers.get('content-length'));
  const body = (context.request.body ?? []) as AsyncIterable<Uint8Array>;
  const importId = await takeIn(account, query.kind, body, {
    name: query.name || null,
    bytes: length > 0 ? length : null,
  });
  return importAnswer(await needImport(importId));
});
