import type { RowsRequest } from '../../contract/field';
import { rowsRequest } from '../../contract/schemas';
import { loadSparks } from '../../server/field/loadRowDays';
import { endpoint, readBody } from '../../server/http/endpoint';

export const POST = endpoint(async (context) =>
  loadSparks(await readBody<RowsRequest>(context, rowsRequest)),
);
