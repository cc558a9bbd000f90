import { sumsQuery } from '../../contract/schemas';
import { endpoint } from '../../server/http/endpoint';
import { loadSums } from '../../server/sums/loadSums';

export const GET = endpoint({ may: 'see', query: sumsQuery, run: ({ query }) => loadSums(query) });
