import { coreTermRequest } from '../../contract/wordSchemas';
import { accountQuery } from '../../contract/schemas';
import { endpoint, readBody, readQuery } from '../../server/http/endpoint';
import { loadPinned, pinCoreTerm, unpinCoreTerm } from '../../server/words/coreTerms';

interface Asked {
  account: number;
  productId: number;
  term: string;
}

export const GET = endpoint(async (context) =>
  loadPinned(readQuery<{ account: number }>(context, accountQuery).account),
);

export const PUT = endpoint(async (context) => {
  const { account, productId, term } = await readBody<Asked>(context, coreTermRequest);
  return pinCoreTerm(account, productId, term);
});

export const DELETE = endpoint(async (context) => {
  const { account, productId, term } = await readBody<Asked>(context, coreTermRequest);
  return unpinCoreTerm(account, productId, term);
});
