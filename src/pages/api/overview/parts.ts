import { overviewQuery } from '../../../contract/fieldSchemas';
import { loadOverviewParts } from '../../../server/field/loadOverviewParts';
import { endpoint } from '../../../server/http/endpoint';

export const GET = endpoint({
  may: 'see',
  query: overviewQuery,
  run: ({ query: { account, ...asked } }) => loadOverviewParts(account, asked),
});
