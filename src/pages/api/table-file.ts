import { tableFile as tableFileSchema, tableFormat } from '../../contract/schemas';
import { tableFile } from '../../server/exports/tableFile';
import { endpoint } from '../../server/http/endpoint';
import { streamResponse } from '../../server/http/streamResponse';

export const POST = endpoint({
  may: 'see',
  query: tableFormat,
  body: tableFileSchema,
  run: ({ query: { format }, body }) => streamResponse(tableFile(body, format)),
});
