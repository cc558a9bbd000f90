import { accountQuery } from '../../contract/schemas';
import { coreTermRequest } from '../../contract/wordSchemas';
import { endpoint } from '../../server/http/endpoint';
import { loadPinned, pinCoreTerm, unpinCoreTerm } from '../../server/words/coreTerms';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => loadPinned(account),
});

export const PUT = endpoint({
  may: 'decide',
  body: coreTermRequest,
  run: ({ body, caller }) => pinCoreTerm(caller, body),
});

export const DELETE = endpoint({
  may: 'decide',
  body: coreTermRequest,
  run: ({ body, caller }) => unpinCoreTerm(caller, body),
});
