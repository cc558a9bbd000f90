import { accountQuery } from '../../../contract/schemas';
import { endpoint } from '../../../server/http/endpoint';
import { askWords } from '../../../server/words/askWords';

export const GET = endpoint({
  may: 'see',
  query: accountQuery,
  run: ({ query: { account } }) => askWords(account, 'standing', {}),
});
