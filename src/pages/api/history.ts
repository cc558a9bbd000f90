import { historyQuery } from '../../contract/schemas';
import { loadHistory } from '../../server/field/loadHistory';
import { endpoint, readQuery } from '../../server/http/endpoint';

export const GET = endpoint(async (context) =>
  loadHistory(readQuery<Parameters<typeof loadHistory>[0]>(context, historyQuery)),
);
