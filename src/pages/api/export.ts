import { dataExportQuery } from '../../contract/schemas';
import { exportData } from '../../server/exports/exportData';
import type { ExportRequest } from '../../server/exports/exportData';
import { endpoint, readQuery } from '../../server/http/endpoint';
import { streamResponse } from '../../server/http/streamResponse';

export const GET = endpoint(async (context) =>
  streamResponse(await exportData(readQuery<ExportRequest>(context, dataExportQuery))),
);
