import { historyQuery } from '../../contract/schemas';
import { loadHistory } from '../../server/field/loadHistory';
import { endpoint } from '../../server/http/endpoint';

export const GET = endpoint({ may: 'see', query: historyQuery, run: ({ query }) => loadHistory(query) });
