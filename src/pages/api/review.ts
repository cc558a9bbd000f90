import { windowQuery } from '../../contract/schemas';
import { asksForColumns, columnsAnswer } from '../../server/http/columnsAnswer';
import { endpoint } from '../../server/http/endpoint';
import { loadReview, loadReviewColumns } from '../../server/review/loadReview';

export const GET = endpoint({
  may: 'see',
  query: windowQuery,
  run: async ({ query: { account, from, to }, request }) => {
    const load = asksForColumns(request) ? loadReviewColumns : loadReview;
    return columnsAnswer(request, await load(account, from, to));
  },
});
