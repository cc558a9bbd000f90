import { fieldQuery } from '../../contract/schemas';
import { loadFieldSums } from '../../server/field/loadFieldSums';
import { endpoint, jsonText } from '../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: fieldQuery,
  run: async ({ query }) => jsonText(await loadFieldSums(query)),
});
