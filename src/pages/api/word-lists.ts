import { accountQuery } from '../../contract/schemas';
import { wordListsRequest } from '../../contract/wordSchemas';
import type { WordListsRequest } from '../../contract/words';
import { endpoint, readBody, readQuery } from '../../server/http/endpoint';
import { keepWordLists, loadWordLists } from '../../server/words/wordLists';

export const GET = endpoint(async (context) =>
  loadWordLists(readQuery<{ account: number }>(context, accountQuery).account),
);

export const PUT = endpoint(async (context) => {
  const { account, lists } = await readBody<WordListsRequest>(context, wordListsRequest);
  return keepWordLists(account, lists);
});
