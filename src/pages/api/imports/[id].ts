import { accountQuery, idPath } from '../../../contract/schemas';
import { endpoint } from '../../../server/http/endpoint';
import { importAnswer, needImport } from '../../../server/imports/answer';

export const GET = endpoint({
  may: 'see',
  path: idPath,
  query: accountQuery,
  run: async ({ path: { id }, query: { account } }) => importAnswer(await needImport(account, id)),
});
