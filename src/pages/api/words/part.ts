import { partRequest } from '../../../contract/wordQuestionSchemas';
import { endpoint } from '../../../server/http/endpoint';
import { askWords } from '../../../server/words/askWords';

export const POST = endpoint({
  may: 'see',
  body: partRequest,
  run: ({ body: { account, ...asked } }) => askWords(account, 'part', asked),
});
