import { termDaysQuery } from '../../contract/schemas';
import { endpoint, readQuery } from '../../server/http/endpoint';
import { loadTermDays } from '../../server/review/loadTermDays';

export const GET = endpoint(async (context) => {
  const query = readQuery<{ account: number; adGroup: number; term: number; from: string; to: string }>(
    context,
    termDaysQuery,
  );
  const { account: accountId, adGroup: adGroupId, term: termId, from, to } = query;
  return loadTermDays({ accountId, adGroupId, termId, from, to });
});
