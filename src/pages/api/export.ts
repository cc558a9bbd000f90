import { dataExportQuery } from '../../contract/schemas';
import { exportData } from '../../server/exports/exportData';
import { endpoint } from '../../server/http/endpoint';
import { streamResponse } from '../../server/http/streamResponse';

export const GET = endpoint({
  may: 'see',
  query: dataExportQuery,
  run: async ({ query }) => streamResponse(await exportData(query)),
});
