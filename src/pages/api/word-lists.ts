import { accountQuery } from '../../contract/schemas';
import { wordListsRequest } from '../../contract/wordSchemas';
import { endpoint } from '../../server/http/endpoint';
import { keepWordLists, loadWordLists } from '../../server/words/wordLists';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadWordLists(account),
});

export const PUT = endpoint({
  may: 'decide',
  body: wordListsRequest,
  run: ({ body: { account, lists }, caller }) => keepWordLists(caller, account, lists),
});
