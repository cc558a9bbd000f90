import { dataExportQuery } from '../../contract/schemas';
import { exportData } from '../../server/exports/exportData';
import { endpoint } from '../../server/http/endpoint';
import { noteExport } from '../../server/trail';
import { streamResponse } from '../../server/http/streamResponse';

export const GET = endpoint({
  may: 'see',
  query: dataExportQuery,
  run: async ({ query, caller }) => {
    const file = await exportData(query);
    const { account, kind: what, format, from, to } = query;
    await noteExport(caller, account, { what, format, from, to });
    return streamResponse(file);
  },
});
