import { tableFile as tableFileSchema } from '../../contract/schemas';
import { tableFile } from '../../server/exports/tableFile';
import type { TableToWrite } from '../../server/exports/tableFile';
import { endpoint, readBody } from '../../server/http/endpoint';
import { streamResponse } from '../../server/http/streamResponse';

export const POST = endpoint(async (context) => {
  const table = await readBody<TableToWrite>(context, tableFileSchema);
  const format = context.url.searchParams.get('format') === 'xlsx' ? 'xlsx' : 'csv';
  return streamResponse(tableFile(table, format));
});
