import { blocksRequest } from '../../../contract/wordQuestionSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { askWords } from '../../../server/words/askWords';

export const POST = endpoint({
  may: 'see',
  body: blocksRequest,
  run: ({ body: { account, ...asked } }) => askWords(account, 'blocks', asked),
});
