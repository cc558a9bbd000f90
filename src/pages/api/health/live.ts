import { endpoint } from '../../../server/http/endpoint';

/** Whether the program itself answers, whatever becomes of database and market: one that does not is started anew. */
export const GET = endpoint({ may: 'anyone', isLight: true, run: () => ({ live: true }) });
