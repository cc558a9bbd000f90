import { reviewQuery } from '../../contract/schemas';
import { endpoint, jsonText, readQuery } from '../../server/http/endpoint';
import { loadReview } from '../../server/review/loadReview';

export const GET = endpoint(async (context) => {
  const { account, from, to } = readQuery<{ account: number; from?: string; to?: string }>(
    context,
    reviewQuery,
  );
  return jsonText(await loadReview(account, from, to));
});
