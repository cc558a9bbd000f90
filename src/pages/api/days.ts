import type { RowsRequest } from '../../contract/field';
import { rowsRequest } from '../../contract/schemas';
import { loadRowDays } from '../../server/field/loadRowDays';
import { endpoint, readBody } from '../../server/http/endpoint';

export const POST = endpoint(async (context) =>
  loadRowDays(await readBody<RowsRequest>(context, rowsRequest)),
);
