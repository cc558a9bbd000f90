import { fieldQuery } from '../../contract/fieldSchemas';
import { loadFieldSums } from '../../server/field/loadFieldSums';
import { columnsAnswer } from '../../server/http/columnsAnswer';
import { endpoint } from '../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: fieldQuery,
  run: async ({ query, request }) => columnsAnswer(request, await loadFieldSums(query)),
});
