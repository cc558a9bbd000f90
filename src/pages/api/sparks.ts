import { rowsRequest } from '../../contract/fieldSchemas';
import { loadSparks } from '../../server/field/loadRowDays';
import { endpoint } from '../../server/http/endpoint';

export const POST = endpoint({ may: 'see', body: rowsRequest, run: ({ body }) => loadSparks(body) });
