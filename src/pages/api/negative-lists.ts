import { accountQuery, removalQuery } from '../../contract/schemas';
import { negativeListRequest } from '../../contract/wordSchemas';
import { endpoint } from '../../server/http/endpoint';
import { keepNegativeList, loadNegativeLists, removeNegativeList } from '../../server/words/negativeLists';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadNegativeLists(account),
});

export const PUT = endpoint({
  may: 'decide',
  body: negativeListRequest,
  run: ({ body, caller }) => keepNegativeList(caller, body),
});

export const DELETE = endpoint({
  may: 'decide',
  query: removalQuery,
  owned: ({ query: { account, id } }) => ({ account, list: [id] }),
  run: ({ query: { account, id }, caller }) => removeNegativeList(caller, account, id),
});
