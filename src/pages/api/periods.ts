import { periodsRequest } from '../../contract/fieldSchemas';
import { loadRowPeriods } from '../../server/field/loadRowDays';
import { endpoint } from '../../server/http/endpoint';

export const POST = endpoint({ may: 'see', body: periodsRequest, run: ({ body }) => loadRowPeriods(body) });
