import { periodsRequest } from '../../contract/schemas';
import { loadRowPeriods } from '../../server/field/loadRowDays';
import { endpoint } from '../../server/http/endpoint';

export const POST = endpoint({ may: 'see', body: periodsRequest, run: ({ body }) => loadRowPeriods(body) });
