import { importPath } from '../../../../contract/schemas';
import { endpoint, readPath } from '../../../../server/http/endpoint';
import { fileResponse } from '../../../../server/http/fileResponse';
import { refusedCsv } from '../../../../server/imports/answer';

export const GET = endpoint(async (context) => {
  const { id } = readPath<{ id: number }>(context, importPath);
  return fileResponse(await refusedCsv(id), `refused-rows-${id}.csv`, 'text/csv');
});
