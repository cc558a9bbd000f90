import { accountQuery, idPath } from '../../../../contract/schemas';
import { endpoint } from '../../../../server/http/endpoint';
import { fileResponse } from '../../../../server/http/fileResponse';
import { refusedCsv } from '../../../../server/imports/answer';

export const GET = endpoint({
  may: 'see',
  path: idPath,
  query: accountQuery,
  run: async ({ path: { id }, query: { account } }) =>
    fileResponse(await refusedCsv(account, id), `refused-rows-${id}.csv`, 'text/csv'),
});
