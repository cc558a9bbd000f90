import { accountQuery, removalQuery } from '../../contract/schemas';
import { negativeListRequest } from '../../contract/wordSchemas';
import type { NegativeListRequest } from '../../contract/words';
import { endpoint, readBody, readQuery } from '../../server/http/endpoint';
import { keepNegativeList, loadNegativeLists, removeNegativeList } from '../../server/words/negativeLists';

export const GET = endpoint(async (context) =>
  loadNegativeLists(readQuery<{ account: number }>(context, accountQuery).account),
);

export const PUT = endpoint(async (context) =>
  keepNegativeList(await readBody<NegativeListRequest>(context, negativeListRequest)),
);

export const DELETE = endpoint(async (context) => {
  const { account, id } = readQuery<{ account: number; id: number }>(context, removalQuery);
  return removeNegativeList(account, id);
});
